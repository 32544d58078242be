<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Advice\GymAdvice;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Advice\Fault;

/** Computes which faults come back, month by month. */
final readonly class FaultReports
{
    private const MAX_FAULTS = 100;
    /** Maximum number of combinations that are named with a fault. */
    private const MAX_COMBINATIONS = 3;

    public function __construct(private LogTotals $totals, private Briefs $briefs, private GymAdvice $advice)
    {
    }

    public function compute(LogFilter $filter, Numbering $numbering): FaultReport
    {
        $months = $last = [];
        foreach ($this->totals->faults($filter) as $total) {
            $months[$total->fault][$total->month] = $total->times;
            $last[$total->fault] = max($last[$total->fault] ?? '', $total->last);
        }
        uasort($months, static fn (array $one, array $other): int => array_sum($other) <=> array_sum($one));
        $months = \array_slice($months, 0, self::MAX_FAULTS, true);
        $combinations = array_map(
            static fn (array $times): array => \array_slice(array_keys($times), 0, self::MAX_COMBINATIONS),
            array_intersect_key($this->totals->combinationsOfFaults($filter), $months),
        );
        $ids = array_values(array_unique(array_merge(...array_values($combinations))));
        $briefs = $this->briefs->read($ids, $numbering);
        $mends = array_column(
            array_map(static fn (Fault $fault): array => [$fault->text, $fault->mend], $this->advice->advice()->faults),
            1,
            0,
        );

        return new FaultReport(
            $filter->period,
            array_map(
                static fn (string $fault, array $times): SeenFault => new SeenFault(
                    fault: $fault,
                    mend: $mends[$fault] ?? null,
                    times: array_sum($times),
                    last: $last[$fault],
                    months: $times,
                    combinations: array_map(
                        static fn (int $id): CombinationBrief => $briefs[$id],
                        $combinations[$fault] ?? [],
                    ),
                ),
                array_keys($months),
                $months,
            ),
        );
    }
}
