<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Symfony\Component\Validator\Constraints as Assert;

/** Says which version of an offer is answered. */
final readonly class OfferRequest
{
    public function __construct(
        #[Assert\Length(max: 40)]
        public string $source,
        public OfferKind $kind,
        #[Assert\Length(max: 40)]
        public string $item,
        /** The version that was looked at. */
        #[Assert\Length(max: 32)]
        public string $digest,
        /** The version of what it changes here, that was looked at; null where it changes nothing. */
        #[Assert\Positive(message: 'There is no such version.')]
        public ?int $against = null,
    ) {
    }
}
