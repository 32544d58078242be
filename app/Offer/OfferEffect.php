<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\Core\Flow\Serializer\RenderedLine;
use Periplus\Core\HouseRules\HouseRules;

/** What accepting an offer would change here. */
final readonly class OfferEffect
{
    /**
     * @param string $about what it is, in a few words
     * @param list<string> $changes sentences for the head coach
     * @param bool $canBeAccepted whether there is anything to accept
     * @param RenderedLine|null $line of a combination as it would be stored, with its verdict under our house rules
     * @param HouseRules|null $rules to look at on the page of the house rules
     */
    public function __construct(
        public string $about,
        public array $changes,
        public bool $canBeAccepted = true,
        public ?LocalThing $here = null,
        public ?RenderedLine $line = null,
        public ?HouseRules $rules = null,
    ) {
    }
}
