<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\Period;

/** A page of the combinations that were drilled in a period. */
final readonly class DrilledReport
{
    public string $from;
    public string $to;

    /**
     * @param list<DrilledCombination> $rows
     * @param int $never how many combinations in use were never drilled
     * @param list<WeekTime> $minutes
     */
    public function __construct(
        Period $period,
        public array $rows,
        public int $total,
        public int $page,
        public int $size,
        public int $never,
        public array $minutes,
    ) {
        $this->from = $period->from;
        $this->to = $period->to;
    }
}
