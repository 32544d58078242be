<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\Connection;

/**
 * The sums of each week and course, so that a report over years reads hundreds of rows and not all of them. They are
 * counted anew from the entries at every write, in its transaction.
 */
final readonly class Weeks
{
    public function __construct(private Connection $connection)
    {
    }

    /** The Monday of the week of a day. */
    public static function of(string $day): string
    {
        return (new \DateTimeImmutable($day))->modify('monday this week')->format('Y-m-d');
    }

    public function recount(string $day, ?int $course): void
    {
        $week = self::of($day);
        $this->connection->delete('log_week', ['week' => $week, 'course_id' => $course ?? 0]);
        $rows = $this->entries($week, (new \DateTimeImmutable($week))->modify('+6 days')->format('Y-m-d'), $course);
        if ([] !== $rows) {
            $this->connection->insert('log_week', ['week' => $week, 'course_id' => $course ?? 0, ...self::sum($rows)]);
        }
    }

    /** All of them, as after a restore or a large import. */
    public function recountAll(): void
    {
        $this->connection->executeStatement('DELETE FROM log_week');
        /** @var list<array{week: string, course_id: int|string|null}> $weeks */
        $weeks = $this->connection->fetchAllAssociative('SELECT DISTINCT day - INTERVAL WEEKDAY(day) DAY AS week, course_id FROM log_entry WHERE removed_at IS NULL');
        foreach ($weeks as $row) {
            $this->recount($row['week'], null === $row['course_id'] ? null : (int) $row['course_id']);
        }
    }

    /**
     * @return list<array{week: string, sessions: int, workMs: int, figures: array<string, float>}> those with a session, by time; all courses together when none is named
     */
    public function between(string $from, string $to, ?int $course): array
    {
        /** @var list<array{week: string, sessions: int|string, work_ms: int|string, figures: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT week, sessions, work_ms, figures FROM log_week WHERE week BETWEEN ? AND ?'.(null === $course ? '' : ' AND course_id = ?').' ORDER BY week', null === $course ? [self::of($from), $to] : [self::of($from), $to, $course]);
        $weeks = [];
        foreach ($rows as $row) {
            $weeks[$row['week']][] = ['sessions' => (int) $row['sessions'], 'work_ms' => (int) $row['work_ms'], 'figures' => $row['figures']];
        }
        $list = [];
        foreach ($weeks as $week => $parts) {
            $sum = self::added($parts);
            $list[] = ['week' => $week, 'sessions' => $sum['sessions'], 'workMs' => $sum['work_ms'], 'figures' => $sum['figures']];
        }

        return $list;
    }

    /**
     * The sum over some days, not bound to weeks.
     *
     * @return array{sessions: int, workMs: int, figures: array<string, float>}
     */
    public function days(string $from, string $to, ?int $course): array
    {
        $sum = self::added(null === $course ? $this->all($from, $to) : $this->entries($from, $to, $course));

        return ['sessions' => $sum['sessions'], 'workMs' => $sum['work_ms'], 'figures' => $sum['figures']];
    }

    /** @return list<array{sessions: int, work_ms: int, figures: string}> */
    private function entries(string $from, string $to, ?int $course): array
    {
        return self::rows($this->connection->fetchAllAssociative('SELECT 1 AS sessions, work_ms, figures FROM log_entry WHERE removed_at IS NULL AND day BETWEEN ? AND ? AND course_id <=> ? ORDER BY id', [$from, $to, $course]));
    }

    /** @return list<array{sessions: int, work_ms: int, figures: string}> */
    private function all(string $from, string $to): array
    {
        return self::rows($this->connection->fetchAllAssociative('SELECT 1 AS sessions, work_ms, figures FROM log_entry WHERE removed_at IS NULL AND day BETWEEN ? AND ? ORDER BY id', [$from, $to]));
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<array{sessions: int, work_ms: int, figures: string}>
     */
    private static function rows(array $rows): array
    {
        /** @var list<array{sessions: int|string, work_ms: int|string, figures: string}> $rows */
        return array_map(static fn (array $row): array => ['sessions' => (int) $row['sessions'], 'work_ms' => (int) $row['work_ms'], 'figures' => $row['figures']], $rows);
    }

    /**
     * @param list<array{sessions: int, work_ms: int, figures: string}> $rows
     *
     * @return array{sessions: int, work_ms: int, figures: string}
     */
    private static function sum(array $rows): array
    {
        $sum = self::added($rows);

        return [...$sum, 'figures' => json_encode((object) $sum['figures'], \JSON_THROW_ON_ERROR)];
    }

    /**
     * @param list<array{sessions: int, work_ms: int, figures: string}> $rows
     *
     * @return array{sessions: int, work_ms: int, figures: array<string, float>}
     */
    private static function added(array $rows): array
    {
        $figures = [];
        foreach ($rows as $row) {
            /** @var array<string, float> $own */
            $own = json_decode($row['figures'], true, flags: \JSON_THROW_ON_ERROR);
            foreach ($own as $name => $value) {
                $figures[$name] = ($figures[$name] ?? 0.0) + $value;
            }
        }

        return ['sessions' => array_sum(array_column($rows, 'sessions')), 'work_ms' => array_sum(array_column($rows, 'work_ms')), 'figures' => array_map(static fn (float $value): float => round($value, 3), $figures)];
    }
}
