<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Periplus\App\Store\Instant;

/** A backup in the state folder. */
final readonly class Backup
{
    /**
     * @param string $kind "nightly", "by-hand", "before-upgrade", "before-restore" or "demo"
     * @param int $bytes its size
     */
    public function __construct(
        public string $name,
        public string $kind,
        public int $bytes,
        public Instant $madeAt,
    ) {
    }
}
