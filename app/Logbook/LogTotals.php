<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

/** Adds up the logbook by combination, link, course and day. */
final readonly class LogTotals
{
    private const TOTALS = 'SELECT combination_id, MAX(day) AS last, COUNT(*) AS times, SUM(ms) AS ms, '
        .'SUM(southpaw_ms) AS southpaw_ms, SUM(fell > 0) AS fell FROM log_combination';
    /** The orders of {@see drilled}. */
    private const COLUMNS = [
        'last' => 'last',
        'times' => 'times',
        'minutes' => 'ms',
        'southpaw' => 'southpaw_ms / ms',
        'fell' => 'fell',
    ];
    /** Days without practice after which a combination counts as neglected. */
    private const NEGLECTED_DAYS = 42;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param string $sort last, times, minutes, southpaw or fell
     * @param string $direction up or down
     */
    public function drilled(
        LogFilter $filter,
        string $sort,
        string $direction,
        int $page,
        int $size,
    ): CombinationTotals {
        $column = self::COLUMNS[$sort] ?? 'last';
        $order = 'up' === $direction ? 'ASC' : 'DESC';
        $rows = $this->connection->fetchAllAssociative(
            'SELECT g.*, COUNT(*) OVER () AS total FROM ('.self::TOTALS.' WHERE '
                .$filter->sql()
                ." GROUP BY combination_id) g ORDER BY $column $order, combination_id LIMIT $size OFFSET "
                .($page - 1) * $size,
            $filter->values(),
        );

        return new CombinationTotals(
            array_map($this->total(...), $rows),
            self::number($rows[0]['total'] ?? 0),
        );
    }

    /** @return list<CombinationTotal> what was drilled longest */
    public function longest(Period $period, int $most): array
    {
        return $this->sorted($period, 'ORDER BY ms DESC, combination_id', $most);
    }

    /** @return list<CombinationTotal> what fell apart most often */
    public function fallen(Period $period, int $most): array
    {
        return $this->sorted($period, 'HAVING fell > 0 ORDER BY fell DESC, ms DESC, combination_id', $most);
    }

    /** @return list<CombinationTotal> what was drilled before, and long ago at the end of the period */
    public function neglected(Period $period, int $most): array
    {
        $since = (new \DateTimeImmutable($period->to))->modify('-'.self::NEGLECTED_DAYS.' days')->format('Y-m-d');
        // Reads only the last days from the index, one seek for each combination, and details for the few that are
        // shown.
        $ids = $this->connection->fetchFirstColumn(
            'SELECT g.combination_id FROM (SELECT combination_id, MAX(day) AS last FROM log_combination '
                .'WHERE counts = 1 AND day <= ? GROUP BY combination_id) g WHERE g.last < ? '
                ."ORDER BY g.last, g.combination_id LIMIT $most",
            [$period->to, $since],
        );

        return [] === $ids
            ? []
            : array_map($this->total(...), $this->connection->fetchAllAssociative(
                self::TOTALS.' WHERE counts = 1 AND day <= ? AND combination_id IN (?) GROUP BY combination_id '
                    .'ORDER BY last, combination_id',
                [$period->to, $ids],
                [ParameterType::STRING, ArrayParameterType::INTEGER],
            ));
    }

    /**
     * @return array<int, array<int, array<int, int>>> in how many sessions a link fell apart, by combination, digest of
     *                                                 its chain and place of the link
     */
    public function fallenLinks(LogFilter $filter): array
    {
        // Grouped by a digest of the chain: grouping by whole chains would use temporary tables on disk.
        /** @var list<array{0: int|string, 1: int|string, 2: int|string, 3: int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT combination_id, CRC32(notation) AS chain, link, COUNT(*) FROM log_fallen_link WHERE '
                .$filter->sql()
                .' AND combination_id IS NOT NULL GROUP BY combination_id, chain, link',
            $filter->values(),
        );
        $fallen = [];
        foreach ($rows as [$combination, $chain, $link, $times]) {
            $fallen[(int) $combination][(int) $chain][(int) $link] = (int) $times;
        }

        return $fallen;
    }

    /** @return list<FaultTotal> the faults that were seen, by month, the most frequent first */
    public function faults(LogFilter $filter): array
    {
        /** @var list<array{0: string, 1: string, 2: int|string, 3: string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT fault, LEFT(day, 7) AS month, COUNT(DISTINCT entry_id) AS times, MAX(day) FROM log_fallen_link '
                .'WHERE '
                .$filter->sql()
                .' AND fault IS NOT NULL GROUP BY fault, month ORDER BY times DESC, fault, month',
            $filter->values(),
        );

        return array_map(
            static fn (array $row): FaultTotal => new FaultTotal($row[0], $row[1], (int) $row[2], $row[3]),
            $rows,
        );
    }

    /** @return array<string, array<int, int>> in how many sessions each fault was seen, by fault and combination */
    public function combinationsOfFaults(LogFilter $filter): array
    {
        /** @var list<array{0: string, 1: int|string, 2: int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT fault, combination_id, COUNT(DISTINCT entry_id) AS times FROM log_fallen_link WHERE '
                .$filter->sql()
                .' AND fault IS NOT NULL AND combination_id IS NOT NULL GROUP BY fault, combination_id '
                .'ORDER BY times DESC, combination_id',
            $filter->values(),
        );
        $combinations = [];
        foreach ($rows as [$fault, $combination, $times]) {
            $combinations[$fault][(int) $combination] = (int) $times;
        }

        return $combinations;
    }

    /**
     * @param array<int, string> $days the last day of each combination, by its id
     *
     * @return array<int, list<string>> the faults that a course showed on that day, by combination
     */
    public function faultsOf(int $course, array $days): array
    {
        if ([] === $days) {
            return [];
        }
        /** @var list<array{0: int|string, 1: string, 2: string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT DISTINCT combination_id, day, fault FROM log_fallen_link WHERE course_id = ? AND counts = 1 '
                .'AND fault IS NOT NULL AND combination_id IN (?) AND day IN (?) ORDER BY fault',
            [$course, array_keys($days), array_values(array_unique($days))],
            [ParameterType::INTEGER, ArrayParameterType::INTEGER, ArrayParameterType::STRING],
        );
        $faults = [];
        foreach ($rows as [$combination, $day, $fault]) {
            if ($days[(int) $combination] === $day) {
                $faults[(int) $combination][] = $fault;
            }
        }

        return $faults;
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, int> in how many sessions each was drilled
     */
    public function times(array $ids, LogFilter $filter): array
    {
        return array_map(static fn (Outcome $one): int => $one->times, $this->outcomes($ids, $filter));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, Outcome> by the id of the combination; without those that were not drilled
     */
    public function outcomes(array $ids, LogFilter $filter): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var list<array{0: int|string, 1: int|string, 2: int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT combination_id, COUNT(*), SUM(fell > 0) FROM log_combination WHERE '
                .$filter->sql()
                .' AND combination_id IN (?) GROUP BY combination_id',
            [...$filter->values(), $ids],
            [...array_fill(0, \count($filter->values()), ParameterType::STRING), ArrayParameterType::INTEGER],
        );
        $outcomes = [];
        foreach ($rows as [$id, $times, $fell]) {
            $outcomes[(int) $id] = new Outcome((int) $times, (int) $fell);
        }

        return $outcomes;
    }

    /** @return array<int, int> in how many sessions each combination was drilled, by its id */
    public function timesDrilled(): array
    {
        /** @var array<int, int|string> $rows */
        $rows = $this->connection->fetchAllKeyValue(
            'SELECT combination_id, COUNT(*) FROM log_combination WHERE counts = 1 GROUP BY combination_id',
        );

        return array_map(intval(...), $rows);
    }

    public function attended(Period $period): Attended
    {
        /** @var array{athletes: float|string|null, effort: float|string|null, unchecked: int|string|null} $row */
        $row = $this->connection->fetchAssociative(
            'SELECT AVG(IF(orthodox IS NULL '
                .'AND southpaw IS NULL, NULL, COALESCE(orthodox, 0) + COALESCE(southpaw, 0))) AS athletes, '
                .'AVG(effort) AS effort, SUM(is_checked = 0) AS unchecked FROM log_entry WHERE removed_at IS NULL '
                .'AND day BETWEEN ? AND ?',
            [$period->from, $period->to],
        );

        return new Attended(
            null === $row['athletes'] ? null : (int) round((float) $row['athletes']),
            null === $row['effort'] ? null : round((float) $row['effort'], 1),
            (int) $row['unchecked'],
        );
    }

    /** @return list<CourseTotal> the longest first */
    public function courses(Period $period): array
    {
        /** @var list<array{0: int|string|null, 1: int|string, 2: int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT course_id, COUNT(*), SUM(work_ms) AS work_ms FROM log_entry WHERE removed_at IS NULL '
                .'AND day BETWEEN ? AND ? GROUP BY course_id ORDER BY work_ms DESC',
            [$period->from, $period->to],
        );

        return array_map(
            static fn (array $row): CourseTotal => new CourseTotal(
                null === $row[0] ? null : (int) $row[0],
                (int) $row[1],
                (int) $row[2],
            ),
            $rows,
        );
    }

    /** @return array<string, int> work in ms by day, of days with a session */
    public function days(Period $period): array
    {
        /** @var array<string, int|string> $days */
        $days = $this->connection->fetchAllKeyValue(
            'SELECT day, SUM(work_ms) FROM log_entry WHERE removed_at IS NULL AND day BETWEEN ? AND ? GROUP BY day',
            [$period->from, $period->to],
        );

        return array_map(intval(...), $days);
    }

    /** @return list<CombinationTotal> */
    private function sorted(Period $period, string $order, int $most): array
    {
        return array_map($this->total(...), $this->connection->fetchAllAssociative(
            self::TOTALS." WHERE counts = 1 AND day BETWEEN ? AND ? GROUP BY combination_id $order LIMIT $most",
            [$period->from, $period->to],
        ));
    }

    /** @param array<string, mixed> $row of {@see TOTALS} */
    private function total(array $row): CombinationTotal
    {
        return new CombinationTotal(
            self::number($row['combination_id']),
            \is_string($row['last']) ? $row['last'] : '',
            self::number($row['times']),
            self::number($row['ms']),
            self::number($row['southpaw_ms']),
            self::number($row['fell']),
        );
    }

    private static function number(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }
}
