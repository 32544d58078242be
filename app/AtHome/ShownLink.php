<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Periplus\App\Store\Instant;

/** A link to a session as coaches see it. */
final readonly class ShownLink
{
    /** @param int $finished how often somebody came to its end */
    public function __construct(
        public int $id,
        public string $key,
        public string $name,
        public int $lengthMs,
        public string $endsOn,
        public int $finished,
        public string $creator,
        public Instant $createdAt,
        public ?Instant $revokedAt,
    ) {
    }
}
