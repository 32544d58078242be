<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Plan\Plan;
use Periplus\App\Plan\Plans;
use Periplus\App\Run\EndedRun;
use Periplus\App\Run\Run;
use Periplus\App\Run\RunView;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Once;
use Periplus\App\Store\Versions;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Writes logbook entries. A write is one transaction: the entry with its rows, the sums of its week, and the day on
 * which its combinations were last drilled.
 */
final readonly class Logbook
{
    private const EMPTY = 'Say what was drilled, or write a note.';

    public function __construct(
        private EntityManagerInterface $entities,
        private LogEntries $entries,
        private DrilledRows $rows,
        private Weeks $weeks,
        private Versions $versions,
        private Once $once,
        private Courses $courses,
        private Plans $plans,
        private Accounts $accounts,
        private CombinationTable $combinations,
        private LibraryLock $lock,
        private GymSettings $gym,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Creates an entry by hand; sending the same id again returns the same entry.
     *
     * @throws \Periplus\App\Store\Refused when it says nothing, names what is not there, or the logbook is full
     */
    public function write(EntryRequest $request, User $editor): LogEntry
    {
        $key = $request->id ?? throw Invalid::field('id', t('A new entry needs an id.'));
        $known = $this->entries->withKey($key);
        if (null !== $known) {
            return $known;
        }
        if (null === $request->plan && [] === ($request->combinations ?? []) && '' === trim($request->note)) {
            throw Invalid::field('combinations', self::EMPTY);
        }
        $this->entries->quota()->require();
        $course = $this->course($request);
        $plan = $this->unloggedPlan($request);
        $work = null !== $plan && null === $request->combinations
            ? $this->rows->asPlanned($plan->content())
            : $this->rows->byHand($request->combinations ?? [], $course);
        $draft = $this->draft(
            $request,
            $editor,
            $course,
            $plan?->name() ?? $course?->name() ?? t('Session'),
            $work->lengthMs,
            $work->workMs,
            $this->rows->rows($work->drilled),
            $plan,
        );

        return $this->once->store(
            fn (): ?LogEntry => $this->entries->withKey($key),
            function () use ($key, $draft, $editor): LogEntry {
                $entry = $this->add($key, null, $draft, $editor);
                $this->audit->add(
                    $editor->id(),
                    'log.written',
                    t('logged “{draft}”', draft: $draft->name),
                    'logbook/'.$entry->id(),
                );

                return $entry;
            },
        );
    }

    /** Records a session that ran, once for each run. A coach's corrections are kept when a wall reports late. */
    public function recordRun(EndedRun $ended): void
    {
        $run = $ended->run;
        $rows = $this->rows->rows($ended->drilled);
        $find = fn (): ?LogEntry => $this->entries->findOneBy(['run' => $run->id]);
        $known = $find();
        if (null !== $known) {
            if ($known->drilled() !== $rows || $known->workMs() !== $ended->workMs) {
                $this->change($known->id(), $known->version(), function (LogEntry $entry) use ($ended, $rows): void {
                    $entry->last(self::length($ended->run), $ended->workMs, $this->clock->now());
                    $this->writeRows($entry, $rows, $entry->fallen());
                });
            }
        } elseif (0 !== $ended->workMs) {
            $starter = $this->accounts->managed($run->starter);
            $draft = new EntryDraft(
                course: null === $ended->course ? null : $this->courses->find($ended->course),
                name: $run->name,
                day: (new \DateTimeImmutable('@'.intdiv($run->startedMs, 1000)))
                    ->setTimezone($this->gym->timeZone())
                    ->format('Y-m-d'),
                lengthMs: self::length($run),
                workMs: $ended->workMs,
                coach: $starter,
                coachName: $run->starterName,
                isChecked: false,
                drilled: $rows,
                plan: null === $run->plan ? null : $this->plans->find($run->plan),
            );
            $this->once->store(
                $find,
                fn (): LogEntry => $this->add(
                    self::keyOf($run),
                    $this->entities->getReference(Run::class, $run->id),
                    $draft,
                    $starter,
                ),
            );
        }
    }

    /**
     * Imports entries that are not in the logbook yet: all of them or none.
     *
     * @param array<array-key, EntryDraft> $drafts by key
     */
    public function import(array $drafts, User $editor): void
    {
        $this->entries->quota()->require(\count($drafts));
        $this->entities->wrapInTransaction(function () use ($drafts, $editor): void {
            $this->lock->take();
            $weeks = $ids = [];
            foreach ($drafts as $key => $draft) {
                $entry = $this->make((string) $key, null, $draft, $editor);
                $weeks[Weeks::mondayOf($entry->day()).' '.$entry->course()?->id()] = [
                    $entry->day(),
                    $entry->course()?->id(),
                ];
                array_push($ids, ...self::combinationsOf($draft->drilled));
            }
            $this->recount($weeks, $ids);
            $this->audit->add(
                $editor->id(),
                'log.imported',
                t(
                    'imported {count, plural, one {# session} other {# sessions}} into the logbook',
                    count: \count($drafts),
                ),
                'logbook',
            );
        });
    }

    public function update(int $id, int $basedOn, EntryRequest $request, User $editor): LogEntry
    {
        $before = $this->entries->get($id);
        $course = $this->course($request);
        [$rows, $lengthMs, $workMs] = [$before->drilled(), $before->lengthMs(), $before->workMs()];
        if (null !== $request->combinations && null === $before->run()) {
            $work = $this->rows->byHand($request->combinations, $course);
            [$rows, $lengthMs, $workMs] = [$this->rows->rows($work->drilled), $work->lengthMs, $work->workMs];
        }
        $draft = $this->draft(
            $request,
            $editor,
            $course,
            $before->name(),
            $lengthMs,
            $workMs,
            $rows,
            $before->plan(),
        );

        return $this->change($id, $basedOn, function (LogEntry $entry) use ($draft, $editor): void {
            $entry->update($draft, $this->accounts->managed($editor), $this->clock->now());
            $this->writeRows($entry, $draft->drilled, $draft->fallen);
            $this->record($entry, $editor, 'log.updated', t(
                'corrected “{name}” of {day} in the logbook',
                name: $entry->name(),
                day: $entry->day(),
            ));
        });
    }

    public function remove(int $id, int $basedOn, User $editor): LogEntry
    {
        return $this->change($id, $basedOn, function (LogEntry $entry) use ($editor): void {
            $entry->remove($this->accounts->managed($editor), $this->clock->now());
            $this->writeRows($entry, $entry->drilled(), $entry->fallen());
            $this->record($entry, $editor, 'log.removed', t(
                'deleted “{name}” of {day} from the logbook',
                name: $entry->name(),
                day: $entry->day(),
            ));
        });
    }

    public function restore(int $id, int $basedOn, User $editor): LogEntry
    {
        return $this->change($id, $basedOn, function (LogEntry $entry) use ($editor): void {
            $entry->restore($this->accounts->managed($editor), $this->clock->now());
            $this->writeRows($entry, $entry->drilled(), $entry->fallen());
            $this->record($entry, $editor, 'log.restored', t(
                'restored “{name}” of {day} in the logbook',
                name: $entry->name(),
                day: $entry->day(),
            ));
        });
    }

    /** Returns the key of the entry of a run, which is unique across gyms. */
    public static function keyOf(RunView $run): string
    {
        // A digest, because exports contain it: the key itself would give access to the session.
        return 'run-'.$run->id.'-'.substr(hash('sha256', $run->followKey), 0, 12);
    }

    /** @param \Closure(LogEntry): void $change lays its rows as well */
    private function change(int $id, int $basedOn, \Closure $change): LogEntry
    {
        return $this->entities->wrapInTransaction(function () use ($id, $basedOn, $change): LogEntry {
            // Taken before the entry is locked, as in every write, to avoid deadlocks.
            $this->lock->take();

            return $this->versions->change(LogEntry::class, $id, $basedOn, LogEntries::MISSING, function (
                LogEntry $entry,
            ) use ($change): void {
                $weeks = [[$entry->day(), $entry->course()?->id()]];
                $ids = self::combinationsOf($entry->drilled());
                $change($entry);
                $this->entities->flush();
                $weeks[] = [$entry->day(), $entry->course()?->id()];
                $this->recount(
                    array_unique($weeks, \SORT_REGULAR),
                    [...$ids, ...self::combinationsOf($entry->drilled())],
                );
            });
        });
    }

    private function add(string $key, ?Run $run, EntryDraft $draft, User $editor): LogEntry
    {
        $this->lock->take();
        $entry = $this->make($key, $run, $draft, $editor);
        $this->recount([[$entry->day(), $entry->course()?->id()]], self::combinationsOf($draft->drilled));

        return $entry;
    }

    private function make(string $key, ?Run $run, EntryDraft $draft, User $editor): LogEntry
    {
        $figures = $this->rows->figures($draft->drilled, $draft->attendance);
        $entry = new LogEntry($key, $run, $draft, $figures, $this->accounts->managed($editor), $this->clock->now());
        $this->entities->persist($entry);
        // Its rows need its id.
        $this->entities->flush();
        $entry->writeRows($draft->drilled, $draft->fallen, $figures);
        $this->entities->flush();

        return $entry;
    }

    /**
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     */
    private function writeRows(LogEntry $entry, array $drilled, array $fallen): void
    {
        $entry->writeRows($drilled, $fallen, $this->rows->figures($drilled, $entry->attendance()));
    }

    /**
     * Recomputes the sums over all entries: weeks, and when combinations were last drilled.
     *
     * @param array<array{string, int|null}> $weeks a day of each and the course
     * @param list<int> $combinations
     */
    private function recount(array $weeks, array $combinations): void
    {
        foreach ($weeks as [$day, $course]) {
            $this->weeks->recount($day, $course);
        }
        $this->combinations->storeDrilled($this->entries->lastDays(array_values(array_unique($combinations))));
    }

    /**
     * @param list<DrilledRow> $rows
     *
     * @return list<int>
     */
    private static function combinationsOf(array $rows): array
    {
        return array_values(array_filter(
            array_map(static fn (DrilledRow $row): ?int => $row->combination, $rows),
            \is_int(...),
        ));
    }

    private function record(LogEntry $entry, User $editor, string $what, string $says): void
    {
        $this->audit->add(
            $editor->id(),
            $what,
            $says,
            'logbook/'.$entry->id(),
        );
    }

    /** @throws Conflict when the session is in the logbook already, such as from a wall */
    private function unloggedPlan(EntryRequest $request): ?Plan
    {
        if (null === $request->plan) {
            return null;
        }
        $plan = $this->plans->get($request->plan);
        $entry = $this->entries->ofPlan($plan->id());

        return null === $entry ? $plan : throw new Conflict(
            'already-logged',
            t(
                '“{name}” of {day} is in the logbook already. Correct it there.',
                name: $entry->name(),
                day: $entry->day(),
            ),
        );
    }

    private function course(EntryRequest $request): ?Course
    {
        return null === $request->course ? null : $this->courses->get($request->course);
    }

    /**
     * @param string $name where the request has none
     * @param list<DrilledRow> $rows
     */
    private function draft(
        EntryRequest $request,
        User $editor,
        ?Course $course,
        string $name,
        int $lengthMs,
        int $workMs,
        array $rows,
        ?Plan $plan,
    ): EntryDraft {
        $coach =
            $this->accounts->find($request->coach ?? $editor->id())
            ?? throw Invalid::field('coach', t('There is no such coach.'));

        return new EntryDraft(
            course: $course,
            name: '' === trim($request->name) ? $name : trim($request->name),
            day: $this->day($request->day),
            lengthMs: $lengthMs,
            workMs: $workMs,
            coach: $coach,
            coachName: $coach->name(),
            attendance: new Attendance($request->orthodox, $request->southpaw, self::levels($request)),
            effort: $request->effort,
            note: trim($request->note),
            isChecked: true,
            drilled: $rows,
            fallen: self::fallen($request),
            plan: $plan,
        );
    }

    /** @return array<int, int> athletes by level */
    private static function levels(EntryRequest $request): array
    {
        $levels = [];
        foreach ($request->levels as $level => $athletes) {
            if (!\in_array((int) $level, [1, 2, 3], true)) {
                throw Invalid::field('levels', t('The level is 1, 2 or 3.'));
            }
            $levels[(int) $level] = $athletes;
        }

        return $levels;
    }

    /** @return list<FallenLink> each once */
    private static function fallen(EntryRequest $request): array
    {
        $fallen = [];
        foreach ($request->fallen as $one) {
            $fault = trim($one['fault'] ?? '');
            $link = new FallenLink(
                $one['notation'],
                Stance::from($one['stance']),
                $one['link'],
                '' === $fault ? null : $fault,
            );
            $fallen[$link->link.' '.$link->chainKey()] = $link;
        }

        return array_values($fallen);
    }

    private function day(string $day): string
    {
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day);
        $message = match (true) {
            false === $date || $date->format('Y-m-d') !== $day => t('There is no such day.'),
            $day > $this->gym->today()->format('Y-m-d') => t(
                'This day is in the future. Plan the session instead of logging it.',
            ),
            $day < LogEntry::EARLIEST_DAY => t('This day is too long ago.'),
            default => null,
        };

        return null === $message ? $day : throw Invalid::field('day', $message);
    }

    private static function length(RunView $run): int
    {
        return max(
            0,
            ($run->endedMs ?? $run->startedMs) - max(
                $run->startedMs,
                min($run->state->zeroMs, $run->endedMs ?? $run->startedMs),
            ),
        );
    }
}
