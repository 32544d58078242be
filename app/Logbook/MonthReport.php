<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\Connection;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Log\LoadFindings;

use function Periplus\Core\Language\t;

/** Computes a month on one page for the head coach. */
final readonly class MonthReport
{
    /** Maximum number of rows in each list. */
    private const MAX_ROWS = 8;
    /** Days without practice after which a combination counts as neglected. */
    private const NEGLECTED_DAYS = 42;

    public function __construct(
        private Connection $connection,
        private Weeks $weeks,
        private Reports $reports,
        private Courses $courses,
        private GymSettings $gym,
    ) {
    }

    /** @return array<string, mixed> */
    public function compute(string $month, Numbering $numbering): array
    {
        $period = Period::month($month);
        $before = Period::month((new \DateTimeImmutable($period->from))->modify('-1 month')->format('Y-m'));
        $sum = $this->weeks->days($period->from, $period->to, null);
        $was = $this->weeks->days($before->from, $before->to, null);

        return [
            'month' => $month,
            'gym' => $this->gym->name(),
            'sessions' => $sum->sessions,
            'workMs' => $sum->workMs,
            ...$this->attended($period),
            'before' => [
                'month' => substr($before->from, 0, 7),
                'sessions' => $was->sessions,
                'workMs' => $was->workMs,
            ],
            'sum' => Reports::figures($sum->figures),
            'weapons' => Reports::families(),
            'courses' => $this->courses($period),
            'days' => $this->days($period),
            'most' => $this->most($period, $numbering),
            'fell' => $this->fell($period, $numbering),
            'neglected' => $this->neglected($period, $numbering),
            'findings' => LoadFindings::find($sum->figures),
        ];
    }

    /**
     * @return array{
     *     athletes: int|null,
     *     effort: float|null,
     *     unchecked: int,
     * } mean athletes per session, mean effort, and number of entries that were not reviewed
     */
    private function attended(Period $period): array
    {
        /** @var array{athletes: float|string|null, effort: float|string|null, unchecked: int|string|null} $row */
        $row = $this->connection->fetchAssociative(
            'SELECT AVG(IF(orthodox IS NULL '
                .'AND southpaw IS NULL, NULL, COALESCE(orthodox, 0) + COALESCE(southpaw, 0))) AS athletes, '
                .'AVG(effort) AS effort, SUM(is_checked = 0) AS unchecked FROM log_entry WHERE removed_at IS NULL '
                .'AND day BETWEEN ? AND ?',
            [$period->from, $period->to],
        );

        return [
            'athletes' => null === $row['athletes'] ? null : (int) round((float) $row['athletes']),
            'effort' => null === $row['effort'] ? null : round((float) $row['effort'], 1),
            'unchecked' => (int) $row['unchecked'],
        ];
    }

    /** @return list<array{name: string, sessions: int, workMs: int}> */
    private function courses(Period $period): array
    {
        /** @var list<array{course_id: int|string|null, sessions: int|string, work_ms: int|string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT course_id, COUNT(*) AS sessions, SUM(work_ms) AS work_ms FROM log_entry WHERE removed_at IS NULL '
                .'AND day BETWEEN ? AND ? GROUP BY course_id ORDER BY work_ms DESC',
            [$period->from, $period->to],
        );

        $names = [];
        foreach ($this->courses->all() as $course) {
            $names[$course->id()] = $course->name();
        }

        return array_map(
            static fn (array $row): array => [
                'name' => $names[(int) $row['course_id']] ?? t('Without a course'),
                'sessions' => (int) $row['sessions'],
                'workMs' => (int) $row['work_ms'],
            ],
            $rows,
        );
    }

    /** @return list<array{day: string, workMs: int}> every day of the month */
    private function days(Period $period): array
    {
        $known = $this->connection->fetchAllKeyValue(
            'SELECT day, SUM(work_ms) FROM log_entry WHERE removed_at IS NULL AND day BETWEEN ? AND ? GROUP BY day',
            [$period->from, $period->to],
        );
        $days = [];
        for (
            $day = $period->from;
            $day <= $period->to;
            $day = (new \DateTimeImmutable($day))->modify('+1 day')->format('Y-m-d')
        ) {
            $days[] = ['day' => $day, 'workMs' => is_numeric($known[$day] ?? null) ? (int) $known[$day] : 0];
        }

        return $days;
    }

    /** @return list<array<string, mixed>> what was drilled longest */
    private function most(Period $period, Numbering $numbering): array
    {
        return $this->rows(
            'SELECT combination_id, COUNT(*) AS times, SUM(ms) AS ms, MAX(day) AS last, SUM(fell > 0) AS fell '
                .'FROM log_combination WHERE counts = 1 AND day BETWEEN ? AND ? GROUP BY combination_id '
                .'ORDER BY ms DESC, combination_id LIMIT '
                .self::MAX_ROWS,
            [$period->from, $period->to],
            $numbering,
        );
    }

    /** @return list<array<string, mixed>> what fell apart most often */
    private function fell(Period $period, Numbering $numbering): array
    {
        return $this->rows(
            'SELECT combination_id, COUNT(*) AS times, SUM(ms) AS ms, MAX(day) AS last, SUM(fell > 0) AS fell '
                .'FROM log_combination WHERE counts = 1 AND day BETWEEN ? AND ? GROUP BY combination_id '
                .'HAVING fell > 0 ORDER BY fell DESC, ms DESC, combination_id LIMIT '
                .self::MAX_ROWS,
            [$period->from, $period->to],
            $numbering,
        );
    }

    /** @return list<array<string, mixed>> what was drilled before, and long ago at the end of the month */
    private function neglected(Period $period, Numbering $numbering): array
    {
        $since = (new \DateTimeImmutable($period->to))->modify('-'.self::NEGLECTED_DAYS.' days')->format('Y-m-d');

        // Reads only the last days from the index, one seek for each combination, and details for the few that are
        // shown.
        $ids = $this->connection->fetchFirstColumn(
            'SELECT g.combination_id FROM (SELECT combination_id, MAX(day) AS last FROM log_combination '
                .'WHERE counts = 1 AND day <= ? GROUP BY combination_id) g WHERE g.last < ? '
                .'ORDER BY g.last, g.combination_id LIMIT '
                .self::MAX_ROWS,
            [$period->to, $since],
        );

        return [] === $ids
            ? []
            : $this->rows(
                'SELECT combination_id, COUNT(*) AS times, SUM(ms) AS ms, MAX(day) AS last, SUM(fell > 0) AS fell '
                    .'FROM log_combination WHERE counts = 1 AND day <= ? AND combination_id IN ('
                    .implode(', ', array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $ids))
                    .') GROUP BY combination_id ORDER BY last, combination_id',
                [$period->to],
                $numbering,
            );
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<array<string, mixed>>
     */
    private function rows(string $query, array $values, Numbering $numbering): array
    {
        /**
         * @var list<array{
         *     combination_id: int|string,
         *     times: int|string,
         *     ms: int|string,
         *     last: string,
         *     fell: int|string,
         * }> $rows
         */
        $rows = $this->connection->fetchAllAssociative($query, $values);
        $summaries = $this->reports->summaries(
            array_map(static fn (array $row): int => (int) $row['combination_id'], $rows),
        );

        return array_map(
            fn (array $row): array => [
                'combination' => $this->reports->brief(
                    $summaries[(int) $row['combination_id']] ?? null,
                    (int) $row['combination_id'],
                    $numbering,
                ),
                'times' => (int) $row['times'],
                'ms' => (int) $row['ms'],
                'last' => $row['last'],
                'fell' => (int) $row['fell'],
            ],
            $rows,
        );
    }
}
