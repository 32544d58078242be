<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Store\Instant;

/** A gym whose offers are read: one of the group, or one of another installation. */
final readonly class OfferSource
{
    /**
     * @param string $id "gym-" and the name of a gym of the group, or "link-" and an id
     * @param int|null $link id of the followed gym; null for one of the group
     * @param Instant $readAt when this was what it offered
     * @param string|null $problem why it could not be read last
     * @param OfferDocument|null $document null when this version of Periplus cannot read it
     */
    public function __construct(
        public string $id,
        public string $gym,
        public ?int $link,
        public Instant $readAt,
        public ?string $problem,
        private ?OfferDocument $document,
    ) {
    }

    /** @return list<Offer> */
    public function offers(): array
    {
        return array_map(
            fn (OfferedThing $thing): Offer => new Offer($this->id, $this->gym, $thing),
            $this->document?->things() ?? [],
        );
    }
}
