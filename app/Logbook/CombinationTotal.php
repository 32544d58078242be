<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** How often and how long a combination was drilled. */
final readonly class CombinationTotal
{
    /**
     * @param string $last day
     * @param int $fell number of sessions in which one of its links fell apart
     */
    public function __construct(
        public int $combination,
        public string $last,
        public int $times,
        public int $ms,
        public int $southpawMs,
        public int $fell,
    ) {
    }
}
