<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Periplus\App\Store\Instant;

/** A wall as coaches see it. */
final readonly class ShownWall
{
    /** @param int|null $run the session that it shows */
    public function __construct(
        public int $id,
        public string $name,
        public string $key,
        public bool $hasKeys,
        public ?int $run,
        public ?Instant $seenAt,
    ) {
    }
}
