<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Logbook\CombinationTotal;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\App\Logbook\Weeks;
use Periplus\Core\Notation\Numbering;

/** Computes how often and how long each combination was drilled. */
final readonly class DrilledReports
{
    public const PAGE_SIZE = 50;

    public function __construct(
        private LogTotals $totals,
        private Weeks $weeks,
        private CombinationTable $combinations,
        private Briefs $briefs,
    ) {
    }

    public function compute(
        LogFilter $filter,
        string $sort,
        string $direction,
        int $page,
        Numbering $numbering,
    ): DrilledReport {
        $found = $this->totals->drilled($filter, $sort, $direction, $page, self::PAGE_SIZE);
        $briefs = $this->briefs->read(array_column($found->rows, 'combination'), $numbering);

        return new DrilledReport(
            period: $filter->period,
            rows: array_map(
                static fn (CombinationTotal $row): DrilledCombination => new DrilledCombination(
                    $briefs[$row->combination],
                    $row->last,
                    $row->times,
                    $row->ms,
                    $row->southpawMs,
                    $row->fell,
                ),
                $found->rows,
            ),
            total: $found->total,
            page: $page,
            size: self::PAGE_SIZE,
            never: $this->combinations->count(
                new SqlCondition('c.archived_at IS NULL AND c.drilled_at IS NULL'),
            ),
            minutes: $this->byWeek($filter),
        );
    }

    /** @return list<WeekTime> */
    private function byWeek(LogFilter $filter): array
    {
        $known = $this->weeks->between($filter->period->from, $filter->period->to, $filter->course, false);

        return array_map(
            static fn (string $week): WeekTime => new WeekTime(
                $week,
                $known[$week]->workMs ?? 0,
                $known[$week]->sessions ?? 0,
            ),
            $filter->period->weeks(),
        );
    }
}
