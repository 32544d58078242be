<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\HouseRules\HouseRulesRequest;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Symfony\Component\Validator\Constraints as Assert;

/** The house rules of another gym for a sport. */
final readonly class OfferedHouseRules implements OfferedThing
{
    /** @param string $item the sport, such as "boxing" */
    public function __construct(
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        public string $item,
        #[Assert\Valid]
        public HouseRulesRequest $rules,
    ) {
    }

    public function kind(): OfferKind
    {
        return OfferKind::HouseRules;
    }

    public function item(): string
    {
        return $this->item;
    }

    public function name(): string
    {
        return BuiltInHouseRules::named($this->item)->name;
    }

    public function digest(): string
    {
        return Digest::of($this->rules);
    }
}
