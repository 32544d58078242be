<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** The offers of another gym as they came. */
final readonly class ReadOffers
{
    public function __construct(public OfferDocument $document, public string $json, public ?string $etag)
    {
    }
}
