<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\LibraryLock;

use function Periplus\Core\Language\t;

/** Fills the logbook with years of invented sessions of all courses, for measurements. */
final readonly class LogbookFill
{
    private const YEARS = 10;
    private const COMBINATIONS_PER_ENTRY = 6;
    private const BATCH = 400;

    public function __construct(
        private Connection $connection,
        private DrilledRows $rows,
        private Weeks $weeks,
        private Courses $courses,
        private CombinationTable $combinations,
        private LibraryLock $lock,
        private GymSettings $gym,
    ) {
    }

    /** @param int $drilled how many combinations of sessions there are to be in all */
    public function fill(int $drilled, int $user): void
    {
        $ids = [];
        foreach ($this->combinations->after(0, 5000) as $summary) {
            if (null === $summary->archivedAt) {
                $ids[] = $summary->id;
            }
        }
        $courses = array_values(array_filter(
            $this->courses->all(),
            static fn ($course): bool => !$course->isArchived(),
        ));
        /** @var int|string $known */
        $known = $this->connection->fetchOne('SELECT COUNT(*) FROM log_combination');
        $sessions = [];
        foreach ($courses as $course) {
            for ($kind = 0; $kind < 8; ++$kind) {
                $said = array_map(
                    static fn (int $index): array => [
                        'combination' => $ids[($kind * 31 + $index * 7 + $course->id()) % \count($ids)],
                        'minutes' => 3 + $index,
                        'stance' => 0 === ($kind + $index) % 4 ? 'both' : 'own',
                    ],
                    range(0, self::COMBINATIONS_PER_ENTRY - 1),
                );
                $byHand = $this->rows->byHand($said, $course);
                $rows = $this->rows->rows($byHand->drilled);
                $sessions[] = [
                    'course' => $course->id(),
                    'work' => $byHand->workMs,
                    'rows' => $rows,
                    'figures' => json_encode(
                        $this->rows->figures($rows, new \Periplus\Core\Session\Log\Attendance(9, 3)),
                        \JSON_THROW_ON_ERROR,
                    ),
                ];
            }
        }
        $entries = (int) ceil(max(0, $drilled - (int) $known) / self::COMBINATIONS_PER_ENTRY);
        $today = $this->gym->today();
        $days = [];
        for ($from = 0; $from < $entries; $from += self::BATCH) {
            $this->connection->transactional(function () use (
                $from,
                $entries,
                $sessions,
                $ids,
                $user,
                $today,
                &$days,
            ): void {
                $this->batch(
                    range($from, min($entries, $from + self::BATCH) - 1),
                    $entries,
                    $sessions,
                    $ids,
                    $user,
                    $today,
                    $days,
                );
            });
        }
        $this->connection->transactional(function () use ($days): void {
            $this->lock->take();
            $this->combinations->storeDrilled($days);
            $this->weeks->recountAll();
        });
    }

    /**
     * @param list<int> $numbers
     * @param list<array{course: int, work: int, rows: list<DrilledRow>, figures: string}> $sessions
     * @param list<int> $ids
     * @param array<int, string> $days the last day of each combination
     */
    private function batch(
        array $numbers,
        int $of,
        array $sessions,
        array $ids,
        int $user,
        \DateTimeImmutable $today,
        array &$days,
    ): void {
        $entries = $drilled = $combinations = $fallen = [];
        foreach ($numbers as $number) {
            $session = $sessions[$number % \count($sessions)];
            $day = $today
                ->modify(\sprintf('-%d days', intdiv(365 * self::YEARS * ($of - 1 - $number), $of)))
                ->format('Y-m-d');
            $entries[] = [
                bin2hex(random_bytes(12)),
                $session['course'],
                t('Session'),
                $day,
                $session['work'],
                $session['work'],
                $user,
                'Ines',
                9,
                3,
                '{}',
                1 + ($number % 10),
                '',
                $session['figures'],
                1,
                $user,
                $day,
                $day,
            ];
        }
        $first = $this->insert(
            'log_entry',
            [
                'entry_key',
                'course_id',
                'name',
                'day',
                'length_ms',
                'work_ms',
                'coach_id',
                'coach',
                'orthodox',
                'southpaw',
                'levels',
                'effort',
                'note',
                'figures',
                'is_checked',
                'editor_id',
                'created_at',
                'updated_at',
            ],
            $entries,
        );
        foreach ($numbers as $index => $number) {
            $session = $sessions[$number % \count($sessions)];
            [$entry, $day] = [$first + $index, $entries[$index][3]];
            $seen = [];
            foreach ($session['rows'] as $position => $row) {
                $id = $ids[($number * 17 + $position * 13) % \count($ids)];
                $drilled[] = [
                    $entry,
                    $position,
                    $id,
                    $row->name,
                    $row->notation,
                    $row->stance->value,
                    $row->thrown,
                    $row->medium->value,
                    $row->level,
                    $row->ms,
                    $row->otherMs,
                    $row->repetitions,
                    $row->strikes,
                ];
                if (isset($seen[$id])) {
                    continue;
                }
                $seen[$id] = true;
                $days[$id] = $day;
                $fell = 0 === ($number + $position) % 9 ? 1 : 0;
                $combinations[] = [$entry, $id, $day, $session['course'], $row->ms, $row->otherMs, $fell];
                if (1 === $fell) {
                    $fallen[] = [
                        $entry,
                        $position,
                        $id,
                        $row->notation,
                        $row->stance->value,
                        $number % 2,
                        $day,
                        $session['course'],
                    ];
                }
            }
        }
        $this->insert(
            'log_drilled',
            [
                'entry_id',
                'position',
                'combination_id',
                'name',
                'notation',
                'stance',
                'thrown',
                'medium',
                'level',
                'ms',
                'other_ms',
                'repetitions',
                'strikes',
            ],
            $drilled,
        );
        $this->insert(
            'log_combination',
            ['entry_id', 'combination_id', 'day', 'course_id', 'ms', 'southpaw_ms', 'fell'],
            $combinations,
        );
        if ([] !== $fallen) {
            $this->insert(
                'log_fallen_link',
                ['entry_id', 'position', 'combination_id', 'notation', 'stance', 'link', 'day', 'course_id'],
                $fallen,
            );
        }
    }

    /**
     * @param list<string> $columns
     * @param list<list<mixed>> $rows
     *
     * @return int the id of the first; the others follow
     */
    private function insert(string $table, array $columns, array $rows): int
    {
        $this->connection->executeStatement(
            "INSERT INTO $table ("
                .implode(', ', $columns)
                .') VALUES '
                .implode(
                    ', ',
                    array_fill(0, \count($rows), '('.implode(', ', array_fill(0, \count($columns), '?')).')'),
                ),
            array_merge(...$rows),
        );

        return 'log_entry' === $table ? (int) $this->connection->lastInsertId() : 0;
    }
}
