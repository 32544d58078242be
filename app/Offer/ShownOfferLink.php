<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Store\Instant;

/** A link to this gym's offers as its coaches see it. */
final readonly class ShownOfferLink
{
    /** @param string $path of its address, after that of this gym */
    public function __construct(
        public int $id,
        public string $name,
        public string $path,
        public string $creator,
        public Instant $createdAt,
    ) {
    }
}
