<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A month on one page for the head coach. */
final readonly class Month
{
    /**
     * @param string $month such as 2026-11
     * @param int|null $athletes mean of a session
     * @param float|null $effort mean, of 10
     * @param int $unchecked number of entries that no coach has reviewed
     * @param list<string> $weapons families of strikes in the order of the catalogue
     * @param list<CourseTime> $courses
     * @param list<DayTime> $days every day of the month
     * @param list<MonthRow> $most what was drilled longest
     * @param list<MonthRow> $fell what fell apart most often
     * @param list<MonthRow> $neglected what was not drilled recently
     * @param list<SeenFault> $faults those that were seen most often
     * @param list<string> $findings
     */
    public function __construct(
        public string $month,
        public string $gym,
        public int $sessions,
        public int $workMs,
        public ?int $athletes,
        public ?float $effort,
        public int $unchecked,
        public MonthTime $before,
        public FiguresDocument $sum,
        public array $weapons,
        public array $courses,
        public array $days,
        public array $most,
        public array $fell,
        public array $neglected,
        public array $faults,
        public array $findings,
    ) {
    }
}
