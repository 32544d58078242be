<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Gym\Quota;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Run\Run;
use Periplus\Core\Session\Log\Drilled;
use Psr\Clock\ClockInterface;

/**
 * The entries of the logbook, with what was drilled in each. A write is one transaction: the entry, the sums of its week,
 * and the day on which its combinations were last drilled. Nobody but this folder asks these tables.
 *
 * @phpstan-import-type DrilledRow from LogEntry
 * @phpstan-import-type FallenLink from LogEntry
 */
final readonly class Logbook implements HasQuota
{
    private const LIMIT = 100_000;
    private const EMPTY = 'Say what was drilled, or write a note.';

    public function __construct(
        private Connection $connection,
        private DrilledRows $rows,
        private Weeks $weeks,
        private Courses $courses,
        private Accounts $accounts,
        private CombinationTable $combinations,
        private LibraryLock $lock,
        private GymSettings $gym,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): LogEntry
    {
        return $this->select('e.id = ?', [$id])[0] ?? throw new ApiProblem(404, 'not-found', 'There is no such entry in the logbook.');
    }

    /**
     * A page, the newest first.
     *
     * @return array{list<LogEntry>, int}
     */
    public function page(?int $course, bool $unchecked, bool $removed, int $page, int $size): array
    {
        $where = ['e.removed_at IS '.($removed ? 'NOT NULL' : 'NULL')];
        $values = [];
        if (null !== $course) {
            $where[] = 'e.course_id = ?';
            $values[] = $course;
        }
        if ($unchecked) {
            $where[] = 'e.is_checked = 0';
        }
        $condition = implode(' AND ', $where);
        /** @var int|string $total */
        $total = $this->connection->fetchOne('SELECT COUNT(*) FROM log_entry e WHERE '.$condition, $values);

        return [$this->select("$condition ORDER BY e.day DESC, e.id DESC LIMIT $size OFFSET ".($page - 1) * $size, $values), (int) $total];
    }

    /** @return list<LogEntry> of some days, the earliest first */
    public function between(string $from, string $to, ?int $course = null): array
    {
        return $this->select('e.removed_at IS NULL AND e.day BETWEEN ? AND ?'.(null === $course ? '' : ' AND e.course_id = ?').' ORDER BY e.day, e.id', null === $course ? [$from, $to] : [$from, $to, $course]);
    }

    /** @return list<LogEntry> those after that day and id, by both */
    public function after(string $day, int $id, int $most): array
    {
        return $this->select('e.removed_at IS NULL AND (e.day > ? OR (e.day = ? AND e.id > ?)) ORDER BY e.day, e.id LIMIT '.$most, [$day, $day, $id]);
    }

    /** How many entries wait for a coach to look at them. */
    public function unchecked(): int
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM log_entry WHERE removed_at IS NULL AND is_checked = 0');

        return (int) $count;
    }

    /**
     * Which of them are in the logbook already.
     *
     * @param list<string> $keys
     *
     * @return array<string, true>
     */
    public function known(array $keys): array
    {
        return [] === $keys ? [] : array_fill_keys(array_map(static fn (mixed $key): string => \is_string($key) ? $key : '', $this->connection->fetchFirstColumn('SELECT entry_key FROM log_entry WHERE entry_key IN ('.implode(', ', array_fill(0, \count($keys), '?')).')', $keys)), true);
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM log_entry');

        return new Quota('logbook entries', (int) $count, self::LIMIT);
    }

    /**
     * @param list<int> $ids of runs
     *
     * @return array<int, true> those that have an entry
     */
    public function knownRuns(array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        $known = $this->connection->fetchFirstColumn(
            'SELECT run_id FROM log_entry WHERE run_id IN (?)',
            [$ids],
            [ArrayParameterType::INTEGER],
        );

        return array_fill_keys(array_map(intval(...), array_filter($known, is_numeric(...))), true);
    }

    /**
     * A new one by hand; the same id sent again is the same entry.
     *
     * @throws ApiProblem when it says nothing, names what is not there, or the logbook is full
     */
    public function write(EntryRequest $request, User $editor): LogEntry
    {
        $key = $request->id ?? throw new ApiProblem(422, 'invalid', 'A new entry needs an id.', ['violations' => [['field' => 'id', 'message' => 'A new entry needs an id.']]]);
        $known = $this->select('e.entry_key = ?', [$key])[0] ?? null;
        if (null !== $known) {
            return $known;
        }
        if ([] === ($request->combinations ?? []) && '' === trim($request->note)) {
            throw new ApiProblem(
                422,
                'invalid',
                self::EMPTY,
                ['violations' => [['field' => 'combinations', 'message' => self::EMPTY]]],
            );
        }
        $this->quota()->require();
        $day = $this->day($request->day);
        $course = null === $request->course ? null : $this->courses->get($request->course);
        [$drilled, $workMs] = $this->rows->byHand($request->combinations ?? [], $course);
        $name = '' === trim($request->name) ? $course->name ?? 'Session' : trim($request->name);

        return $this->insert($key, [
            'course_id' => $course?->id,
            'name' => $name,
            'day' => $day,
            'length_ms' => $workMs,
            'work_ms' => $workMs,
            ...$this->said($request, $editor),
            'is_checked' => 1,
        ], $this->rows->of($drilled), self::fallen($request), $editor, \sprintf('logged “%s”', $name));
    }

    /**
     * What ran and was really drilled; once for each run. What a coach has corrected stays when a wall reports later.
     *
     * @param list<Drilled> $drilled
     */
    public function takeIn(Run $run, array $drilled, int $workMs, ?int $course): ?LogEntry
    {
        $known = $this->select('e.run_id = ?', [$run->id])[0] ?? null;
        $rows = $this->rows->of($drilled);
        if (null !== $known) {
            if ($known->drilled !== $rows || $known->workMs !== $workMs) {
                $this->store($known, ['work_ms' => $workMs, 'length_ms' => self::length($run)], $rows, null);
            }

            return $this->get($known->id);
        }
        if (0 === $workMs) {
            return null;
        }

        return $this->insert(self::keyOf($run), [
            'run_id' => $run->id,
            'course_id' => $course,
            'name' => $run->name,
            'day' => substr((string) $this->gym->local(gmdate('Y-m-d H:i:s', intdiv($run->startedMs, 1000))), 0, 10),
            'length_ms' => self::length($run),
            'work_ms' => $workMs,
            'coach_id' => $run->starter['id'],
            'coach' => $run->starter['name'],
            'levels' => '{}',
            'note' => '',
        ], $rows, [], $run->starter['id'], null);
    }

    /**
     * Entries of another gym, or of this one from before, none of which is here: all of them or none.
     *
     * @param array<array-key, array{array<string, mixed>, list<DrilledRow>, list<FallenLink>}> $entries columns of log_entry, what was drilled and what fell apart, by key
     */
    public function import(array $entries, User $editor): void
    {
        $this->quota()->require(\count($entries));
        $now = $this->clock->now()->format('Y-m-d H:i:s');
        $this->connection->transactional(function () use ($entries, $editor, $now): void {
            $this->lock->take();
            $weeks = $ids = [];
            foreach ($entries as $key => [$values, $drilled, $fallen]) {
                $this->connection->insert('log_entry', [...$values, 'entry_key' => (string) $key, 'figures' => '{}', 'editor_id' => $editor->id(), 'created_at' => $now, 'updated_at' => $now]);
                $entry = $this->get((int) $this->connection->lastInsertId());
                $this->lay($entry, $drilled, $fallen);
                $weeks[Weeks::of($entry->day).' '.($entry->course['id'] ?? '')] = [$entry->day, $entry->course['id'] ?? null];
                $ids += array_fill_keys(array_filter(array_column($drilled, 'combination_id'), \is_int(...)), true);
            }
            foreach ($weeks as [$day, $course]) {
                $this->weeks->recount($day, $course);
            }
            $this->combinations->storeDrilled($this->lastDays(array_keys($ids)));
            $this->audit->add($editor->id(), 'log.imported', \sprintf('took %d %s into the logbook', \count($entries), 1 === \count($entries) ? 'session' : 'sessions'), 'logbook');
        });
    }

    public function update(int $id, int $basedOn, EntryRequest $request, User $editor): LogEntry
    {
        $entry = $this->at($id, $basedOn);
        $course = null === $request->course ? null : $this->courses->get($request->course);
        $name = '' === trim($request->name) ? $entry->name : trim($request->name);
        $day = $this->day($request->day);
        $values = [...$this->said($request, $editor), 'course_id' => $course?->id, 'name' => $name, 'day' => $day, 'is_checked' => 1, 'editor_id' => $editor->id()];
        $rows = $entry->drilled;
        if (null !== $request->combinations && null === $entry->run) {
            [$drilled, $workMs] = $this->rows->byHand($request->combinations, $course);
            $rows = $this->rows->of($drilled);
            $values = [...$values, 'work_ms' => $workMs, 'length_ms' => $workMs];
        }
        $this->store($entry, $values, $rows, self::fallen($request), fn () => $this->audit->add($editor->id(), 'log.updated', \sprintf('corrected “%s” of %s in the logbook', $name, $day), 'logbook/'.$id));

        return $this->get($id);
    }

    public function remove(int $id, int $basedOn, User $editor): LogEntry
    {
        return $this->put($id, $basedOn, $this->clock->now()->format('Y-m-d H:i:s'), $editor, 'log.removed', 'took “%s” of %s out of the logbook');
    }

    public function restore(int $id, int $basedOn, User $editor): LogEntry
    {
        return $this->put($id, $basedOn, null, $editor, 'log.restored', 'put “%s” of %s back into the logbook');
    }

    private function put(int $id, int $basedOn, ?string $removedAt, User $editor, string $what, string $says): LogEntry
    {
        $entry = $this->at($id, $basedOn);
        $this->store($entry, ['removed_at' => $removedAt, 'editor_id' => $editor->id()], $entry->drilled, null, fn () => $this->audit->add($editor->id(), $what, \sprintf($says, $entry->name, $entry->day), 'logbook/'.$id));

        return $this->get($id);
    }

    private function at(int $id, int $basedOn): LogEntry
    {
        $entry = $this->get($id);
        if ($entry->version !== $basedOn) {
            throw new ApiProblem(412, 'changed-meanwhile', 'This entry was changed meanwhile. Nothing was overwritten; look at the newest and correct it again.');
        }

        return $entry;
    }

    /** @return array<string, mixed> */
    private function said(EntryRequest $request, User $editor): array
    {
        $levels = [];
        foreach ($request->levels as $level => $athletes) {
            if (!\in_array((int) $level, [1, 2, 3], true)) {
                throw new ApiProblem(422, 'invalid', 'The level is 1, 2 or 3.', ['violations' => [['field' => 'levels', 'message' => 'The level is 1, 2 or 3.']]]);
            }
            $levels[(int) $level] = $athletes;
        }
        $coach = $request->coach ?? $editor->id();

        return [
            'coach_id' => $coach,
            'coach' => $this->accounts->names()[$coach] ?? throw new ApiProblem(422, 'invalid', 'There is no such coach.', ['violations' => [['field' => 'coach', 'message' => 'There is no such coach.']]]),
            'orthodox' => $request->orthodox,
            'southpaw' => $request->southpaw,
            'levels' => json_encode((object) $levels, \JSON_THROW_ON_ERROR),
            'effort' => $request->effort,
            'note' => trim($request->note),
        ];
    }

    /** @return list<FallenLink> each once */
    private static function fallen(EntryRequest $request): array
    {
        $fallen = [];
        foreach ($request->fallen as $one) {
            $fallen[$one['stance'].' '.$one['link'].' '.$one['notation']] = ['notation' => $one['notation'], 'stance' => $one['stance'], 'link' => $one['link']];
        }

        return array_values($fallen);
    }

    private function day(string $day): string
    {
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day);
        $message = match (true) {
            false === $date || $date->format('Y-m-d') !== $day => 'There is no such day.',
            $day > $this->gym->today()->format('Y-m-d') => 'What was not drilled yet is planned, not logged: this day has not come.',
            $day < Period::EARLIEST => 'This day is too long ago.',
            default => null,
        };

        return null === $message ? $day : throw new ApiProblem(422, 'invalid', $message, ['violations' => [['field' => 'day', 'message' => $message]]]);
    }

    /** By which the entry of a run is known, also in another gym. */
    public static function keyOf(Run $run): string
    {
        // A digest, since exports contain it: whoever has the key itself can open the session.
        return 'run-'.$run->id.'-'.substr(hash('sha256', $run->followKey), 0, 12);
    }

    private static function length(Run $run): int
    {
        return max(0, ($run->endedMs ?? $run->startedMs) - max($run->startedMs, min($run->state->zeroMs, $run->endedMs ?? $run->startedMs)));
    }

    /**
     * @param array<string, mixed> $values
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     */
    private function insert(string $key, array $values, array $drilled, array $fallen, User|int $editor, ?string $says): LogEntry
    {
        $by = \is_int($editor) ? $editor : $editor->id();
        $now = $this->clock->now()->format('Y-m-d H:i:s');
        $id = 0;
        try {
            $this->connection->transactional(function () use ($key, $values, $drilled, $fallen, $by, $now, $says, &$id): void {
                $this->lock->take();
                $this->connection->insert('log_entry', [...$values, 'entry_key' => $key, 'figures' => '{}', 'editor_id' => $by, 'created_at' => $now, 'updated_at' => $now]);
                $id = (int) $this->connection->lastInsertId();
                $entry = $this->get($id);
                $this->lay($entry, $drilled, $fallen);
                $this->recount($entry, $drilled);
                if (null !== $says) {
                    $this->audit->add($by, 'log.written', $says, 'logbook/'.$id);
                }
            });
        } catch (UniqueConstraintViolationException) {
            // The same came in twice at the same moment.
            return $this->select('e.entry_key = ?', [$key])[0];
        }

        return $this->get($id);
    }

    /**
     * @param array<string, mixed> $values
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink>|null $fallen null leaves them
     * @param \Closure(): mixed $also in the same transaction
     */
    private function store(LogEntry $entry, array $values, array $drilled, ?array $fallen, ?\Closure $also = null): void
    {
        $this->connection->transactional(function () use ($entry, $values, $drilled, $fallen, $also): void {
            $this->lock->take();
            $changed = $this->connection->update('log_entry', [...$values, 'version' => $entry->version + 1, 'updated_at' => $this->clock->now()->format('Y-m-d H:i:s')], ['id' => $entry->id, 'version' => $entry->version]);
            if (1 !== $changed) {
                throw new ApiProblem(412, 'changed-meanwhile', 'This entry was changed meanwhile. Nothing was overwritten; look at the newest and correct it again.');
            }
            $stored = $this->get($entry->id);
            $this->lay($stored, $drilled, $fallen ?? $entry->fallen);
            $this->recount($stored, $drilled, $entry);
            if (null !== $also) {
                $also();
            }
        });
    }

    /**
     * What was drilled in it, and what that comes to.
     *
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     */
    private function lay(LogEntry $entry, array $drilled, array $fallen): void
    {
        foreach (['log_drilled', 'log_combination', 'log_fallen_link'] as $table) {
            $this->connection->delete($table, ['entry_id' => $entry->id]);
        }
        $course = $entry->course['id'] ?? null;
        $shared = ['day' => $entry->day, 'course_id' => $course, 'counts' => $entry->removed ? 0 : 1];
        foreach ($drilled as $position => $row) {
            $this->connection->insert('log_drilled', ['entry_id' => $entry->id, 'position' => $position, ...$row]);
        }
        $ids = [];
        foreach ($drilled as $row) {
            $ids[$row['stance'].' '.$row['notation']] = $row['combination_id'];
        }
        $fell = [];
        foreach ($fallen as $position => $row) {
            $id = $ids[$row['stance'].' '.$row['notation']] ?? null;
            $fell[$id ?? 0] = 1 + ($fell[$id ?? 0] ?? 0);
            $this->connection->insert('log_fallen_link', ['entry_id' => $entry->id, 'position' => $position, 'combination_id' => $id, ...$row, ...$shared]);
        }
        foreach (DrilledRows::byCombination($drilled, $entry->attendance()) as $id => $times) {
            $this->connection->insert('log_combination', ['entry_id' => $entry->id, 'combination_id' => $id, ...$times, 'fell' => $fell[$id] ?? 0, ...$shared]);
        }
        $this->connection->update('log_entry', ['figures' => json_encode((object) $this->rows->figures($drilled, $entry->attendance()), \JSON_THROW_ON_ERROR)], ['id' => $entry->id]);
    }

    /**
     * What is counted over all entries: the sums of its week, and when its combinations were last drilled.
     *
     * @param list<DrilledRow> $drilled
     */
    private function recount(LogEntry $entry, array $drilled, ?LogEntry $was = null): void
    {
        $course = $entry->course['id'] ?? null;
        $this->weeks->recount($entry->day, $course);
        if (null !== $was && ($was->day !== $entry->day || ($was->course['id'] ?? null) !== $course)) {
            $this->weeks->recount($was->day, $was->course['id'] ?? null);
        }
        $touched = array_filter([...array_column($drilled, 'combination_id'), ...array_column($was->drilled ?? [], 'combination_id')], \is_int(...));
        $this->combinations->storeDrilled($this->lastDays(array_values(array_unique($touched))));
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, string|null> the last day on which each was drilled
     */
    private function lastDays(array $ids): array
    {
        $days = array_fill_keys($ids, null);
        foreach ($ids as $id) {
            $day = $this->connection->fetchOne('SELECT MAX(day) FROM log_combination WHERE combination_id = ? AND counts = 1', [$id]);
            $days[$id] = \is_string($day) ? $day : null;
        }

        return $days;
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<LogEntry>
     */
    private function select(string $where, array $values): array
    {
        /** @var list<array{id: int|string, entry_key: string, version: int|string, run_id: int|string|null, course_id: int|string|null, name: string, day: string, length_ms: int|string, work_ms: int|string, coach_id: int|string|null, coach: string, orthodox: int|string|null, southpaw: int|string|null, levels: string, effort: int|string|null, note: string, is_checked: int|string, removed_at: string|null, figures: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT e.* FROM log_entry e WHERE '.$where, $values);
        $courses = $this->courses->names();
        $ids = array_map(static fn (array $row): int => (int) $row['id'], $rows);
        $drilled = $this->children('SELECT entry_id, combination_id, name, notation, stance, thrown, medium, level, ms, other_ms, repetitions, strikes FROM log_drilled', $ids);
        $fallen = $this->children('SELECT entry_id, notation, stance, link FROM log_fallen_link', $ids);
        $number = static fn (int|string|null $value): ?int => null === $value ? null : (int) $value;

        return array_map(static function (array $row) use ($drilled, $fallen, $number, $courses): LogEntry {
            /** @var array<int, int> $levels */
            $levels = json_decode($row['levels'], true, flags: \JSON_THROW_ON_ERROR);
            /** @var array<string, float> $figures */
            $figures = json_decode($row['figures'], true, flags: \JSON_THROW_ON_ERROR);
            /** @var list<DrilledRow> $of */
            $of = $drilled[(int) $row['id']] ?? [];
            /** @var list<FallenLink> $apart */
            $apart = $fallen[(int) $row['id']] ?? [];

            return new LogEntry((int) $row['id'], $row['entry_key'], (int) $row['version'], $number($row['run_id']), null === $row['course_id'] ? null : ['id' => (int) $row['course_id'], 'name' => $courses[(int) $row['course_id']] ?? ''], $row['name'], $row['day'], (int) $row['length_ms'], (int) $row['work_ms'], ['id' => $number($row['coach_id']), 'name' => $row['coach']], $number($row['orthodox']), $number($row['southpaw']), $levels, $number($row['effort']), $row['note'], 1 === (int) $row['is_checked'], null !== $row['removed_at'], $figures, $of, $apart);
        }, $rows);
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, list<array<string, mixed>>> by the entry
     */
    private function children(string $select, array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        $children = [];
        foreach ($this->connection->fetchAllAssociative($select.' WHERE entry_id IN ('.implode(', ', $ids).') ORDER BY entry_id, position') as $row) {
            $id = $row['entry_id'];
            unset($row['entry_id']);
            foreach (['combination_id', 'level', 'ms', 'other_ms', 'link'] as $column) {
                if (isset($row[$column]) && is_numeric($row[$column])) {
                    $row[$column] = (int) $row[$column];
                }
            }
            foreach (['repetitions', 'strikes'] as $column) {
                if (isset($row[$column]) && is_numeric($row[$column])) {
                    $row[$column] = (float) $row[$column];
                }
            }
            $children[is_numeric($id) ? (int) $id : 0][] = $row;
        }

        return $children;
    }
}
