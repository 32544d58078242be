<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Logbook\CombinationTotal;
use Periplus\App\Logbook\CourseTotal;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\App\Logbook\Period;
use Periplus\App\Logbook\Weeks;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Log\LoadFindings;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Computes a month on one page for the head coach. */
final readonly class MonthReport
{
    /** Maximum number of rows in each list. */
    private const MAX_ROWS = 8;
    private const MAX_FAULTS = 5;

    public function __construct(
        private LogTotals $totals,
        private Weeks $weeks,
        private Briefs $briefs,
        private FaultReports $faults,
        private Courses $courses,
        private GymSettings $gym,
        private Catalogue $catalogue,
    ) {
    }

    public function compute(string $month, Numbering $numbering): Month
    {
        $period = Period::month($month);
        $before = Period::month((new \DateTimeImmutable($period->from))->modify('-1 month')->format('Y-m'));
        $sum = $this->weeks->days($period->from, $period->to, null);
        $sumBefore = $this->weeks->days($before->from, $before->to, null);
        $attended = $this->totals->attended($period);

        return new Month(
            month: $month,
            gym: $this->gym->name(),
            sessions: $sum->sessions,
            workMs: $sum->workMs,
            athletes: $attended->athletes,
            effort: $attended->effort,
            unchecked: $attended->unchecked,
            before: new MonthTime(substr($before->from, 0, 7), $sumBefore->sessions, $sumBefore->workMs),
            sum: new FiguresDocument($sum->figures()),
            weapons: $this->catalogue->families(),
            courses: $this->courses($period),
            days: $this->days($period),
            most: $this->rows($this->totals->longest($period, self::MAX_ROWS), $numbering),
            fell: $this->rows($this->totals->fallen($period, self::MAX_ROWS), $numbering),
            neglected: $this->rows($this->totals->neglected($period, self::MAX_ROWS), $numbering),
            faults: \array_slice(
                $this->faults->compute(new LogFilter($period, null), $numbering)->faults,
                0,
                self::MAX_FAULTS,
            ),
            findings: LoadFindings::find($sum->figures()),
        );
    }

    /** @return list<CourseTime> */
    private function courses(Period $period): array
    {
        $names = [];
        foreach ($this->courses->all() as $course) {
            $names[$course->id()] = $course->name();
        }

        return array_map(
            static fn (CourseTotal $total): CourseTime => new CourseTime(
                $names[$total->course ?? 0] ?? t('Without a course'),
                $total->sessions,
                $total->workMs,
            ),
            $this->totals->courses($period),
        );
    }

    /** @return list<DayTime> every day of the month */
    private function days(Period $period): array
    {
        $known = $this->totals->days($period);
        $days = [];
        for (
            $day = $period->from;
            $day <= $period->to;
            $day = (new \DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d')
        ) {
            $days[] = new DayTime($day, $known[$day] ?? 0);
        }

        return $days;
    }

    /**
     * @param list<CombinationTotal> $totals
     *
     * @return list<MonthRow>
     */
    private function rows(array $totals, Numbering $numbering): array
    {
        $briefs = $this->briefs->read(array_column($totals, 'combination'), $numbering);

        return array_map(
            static fn (CombinationTotal $total): MonthRow => new MonthRow(
                $briefs[$total->combination],
                $total->times,
                $total->ms,
                $total->last,
                $total->fell,
            ),
            $totals,
        );
    }
}
