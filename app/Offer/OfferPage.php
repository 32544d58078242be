<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** A page of offers. */
final readonly class OfferPage
{
    /**
     * @param list<ShownOffer> $offers
     * @param int $total how many there are in all
     * @param int $open how many wait for an answer
     * @param list<OfferSource> $sources
     */
    public function __construct(
        public array $offers,
        public int $total,
        public int $size,
        public int $open,
        public array $sources,
    ) {
    }
}
