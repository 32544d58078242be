<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\SessionSum;
use Periplus\App\Logbook\Weeks;
use Periplus\Core\Session\Log\LoadFindings;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Strike;

/** Computes the strikes thrown, by week and in total. */
final readonly class LoadReports
{
    public function __construct(private Weeks $weeks, private Catalogue $catalogue)
    {
    }

    public function compute(LogFilter $filter): LoadReport
    {
        $known = $this->weeks->between($filter->period->from, $filter->period->to, $filter->course);
        $sum = SessionSum::of($known);

        return new LoadReport(
            $filter->period,
            array_map(
                static fn (string $week): LoadWeek => new LoadWeek($week, $known[$week] ?? new SessionSum()),
                $filter->period->weeks(),
            ),
            new LoadSum($sum),
            array_map(
                static fn (Strike $strike): StrikeSum => new StrikeSum(
                    $strike,
                    round($sum->figures()->strike($strike->id), 1),
                ),
                array_values($this->catalogue->strikes),
            ),
            LoadFindings::find($sum->figures()),
        );
    }
}
