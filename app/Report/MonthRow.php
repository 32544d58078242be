<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A combination of a month. */
final readonly class MonthRow
{
    /**
     * @param string $last day
     * @param int $fell number of sessions in which one of its links fell apart
     */
    public function __construct(
        public CombinationBrief $combination,
        public int $times,
        public int $ms,
        public string $last,
        public int $fell,
    ) {
    }
}
