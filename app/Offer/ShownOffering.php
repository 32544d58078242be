<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Store\Instant;

/** Something that this gym offers, in a list. */
final readonly class ShownOffering
{
    /** @param string|null $name null where it is archived or gone, so that others do not see it */
    public function __construct(
        public OfferKind $kind,
        public string $subject,
        public ?string $name,
        public string $who,
        public Instant $at,
    ) {
    }
}
