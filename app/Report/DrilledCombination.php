<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** How often and how long a combination was drilled. */
final readonly class DrilledCombination
{
    /**
     * @param string $last day
     * @param int $fell number of sessions in which one of its links fell apart
     */
    public function __construct(
        public CombinationBrief $combination,
        public string $last,
        public int $times,
        public int $ms,
        public int $southpawMs,
        public int $fell,
    ) {
    }
}
