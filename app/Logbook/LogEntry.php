<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Course\Course;
use Periplus\App\Plan\Plan;
use Periplus\App\Run\Run;
use Periplus\App\Store\DayType;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;
use Periplus\Core\Session\Load\Figures;
use Periplus\Core\Session\Log\Attendance;

use function Periplus\Core\Language\t;

/** A session that took place, with the coach's remarks. */
#[ORM\Entity(repositoryClass: LogEntries::class)]
#[ORM\Table(name: 'log_entry')]
#[ORM\UniqueConstraint(name: 'by_entry_key', columns: ['entry_key'])]
#[ORM\UniqueConstraint(name: 'by_run', columns: ['run_id'])]
#[ORM\Index(name: 'by_day', columns: ['removed_at', 'day', 'id'])]
#[ORM\Index(name: 'by_course', columns: ['course_id', 'removed_at', 'day'])]
#[ORM\Index(name: 'by_coach', columns: ['coach_id'])]
#[ORM\Index(name: 'by_plan', columns: ['plan_id'])]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class LogEntry implements Versioned
{
    use HasVersion;
    public const EARLIEST_DAY = '1990-01-01';

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne]
    private ?Course $course;

    /** The planned session that took place, where there was one. */
    #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'SET NULL')]
    private ?Plan $plan;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column(type: DayType::NAME)]
    private string $day;

    #[ORM\Column]
    private int $lengthMs;

    #[ORM\Column]
    private int $workMs;

    #[ORM\ManyToOne]
    private ?User $coach;

    #[ORM\Column(name: 'coach', length: 120)]
    private string $coachName;

    #[ORM\Column(type: 'smallint', nullable: true)]
    private ?int $orthodox;

    #[ORM\Column(type: 'smallint', nullable: true)]
    private ?int $southpaw;

    /** @var array<int, int> athletes by level */
    #[ORM\Column]
    private array $levels;

    #[ORM\Column(type: 'smallint', nullable: true)]
    private ?int $effort;

    #[ORM\Column(type: 'text', length: 65_535)]
    private string $note;

    /** Whether a coach has checked it. */
    #[ORM\Column(options: ['default' => false])]
    private bool $isChecked;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $removedAt = null;

    /** @var Collection<int, LogDrilled> */
    #[ORM\OneToMany(
        targetEntity: LogDrilled::class,
        mappedBy: 'entry',
        cascade: ['persist'],
        orphanRemoval: true,
        indexBy: 'position',
    )]
    #[ORM\OrderBy(['position' => 'ASC'])]
    private Collection $drilled;

    /** @var Collection<int, LogFallenLink> */
    #[ORM\OneToMany(
        targetEntity: LogFallenLink::class,
        mappedBy: 'entry',
        cascade: ['persist'],
        orphanRemoval: true,
        indexBy: 'position',
    )]
    #[ORM\OrderBy(['position' => 'ASC'])]
    private Collection $fallen;

    /** @var Collection<int, LogCombination> */
    #[ORM\OneToMany(
        targetEntity: LogCombination::class,
        mappedBy: 'entry',
        cascade: ['persist'],
        orphanRemoval: true,
        indexBy: 'combination',
    )]
    private Collection $combinations;

    /**
     * @param string $key by which it is known everywhere, so that it is there once
     * @param Run|null $run that it was made of; null for one that was written by hand
     */
    public function __construct(
        #[ORM\Column(name: 'entry_key', length: 64)]
        private string $key,
        #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'SET NULL')]
        private ?Run $run,
        EntryDraft $draft,
        #[ORM\Column(type: FiguresType::NAME)]
        private Figures $figures,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $editor,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->drilled = new ArrayCollection();
        $this->fallen = new ArrayCollection();
        $this->combinations = new ArrayCollection();
        $this->update($draft, $editor, $createdAt);
    }

    /** Sets everything except the drilled work, see {@see lay}. */
    public function update(EntryDraft $draft, User $editor, \DateTimeImmutable $now): void
    {
        $this->course = $draft->course;
        $this->plan = $draft->plan;
        $this->name = $draft->name;
        $this->day = $draft->day;
        $this->lengthMs = $draft->lengthMs;
        $this->workMs = $draft->workMs;
        $this->coach = $draft->coach;
        $this->coachName = $draft->coachName;
        $this->orthodox = $draft->attendance->orthodox;
        $this->southpaw = $draft->attendance->southpaw;
        $this->levels = $draft->attendance->levels;
        $this->effort = $draft->effort;
        $this->note = $draft->note;
        $this->isChecked = $draft->isChecked;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    /** Updates the length of the session and of its work, when a wall reports late. */
    public function last(int $lengthMs, int $workMs, \DateTimeImmutable $now): void
    {
        $this->lengthMs = $lengthMs;
        $this->workMs = $workMs;
        $this->updatedAt = $now;
    }

    public function remove(User $editor, \DateTimeImmutable $now): void
    {
        $this->removedAt ??= $now;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function restore(User $editor, \DateTimeImmutable $now): void
    {
        $this->removedAt = null;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    /**
     * Stores the drilled work and everything derived from it; the entry needs an id before.
     *
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     */
    public function writeRows(array $drilled, array $fallen, Figures $figures): void
    {
        $this->figures = $figures;
        $ids = [];
        foreach ($drilled as $position => $row) {
            $ids[$row->chainKey()] = $row->combination;
            $known = $this->drilled->get($position);
            null === $known ? $this->drilled->set(
                $position,
                new LogDrilled($this, $position, $row),
            ) : $known->change($row);
        }
        $fell = [];
        foreach ($fallen as $position => $link) {
            $id = $ids[$link->chainKey()] ?? null;
            $fell[$id ?? 0] = 1 + ($fell[$id ?? 0] ?? 0);
            $known = $this->fallen->get($position);
            null === $known ? $this->fallen->set(
                $position,
                new LogFallenLink($this, $position, $link, $id),
            ) : $known->change($link, $id);
        }
        $times = DrilledRows::byCombination($drilled, $this->attendance());
        foreach ($times as $id => $time) {
            $known = $this->combinations->get($id);
            null === $known ? $this->combinations->set(
                $id,
                new LogCombination($this, $id, $time, $fell[$id] ?? 0),
            ) : $known->change($time, $fell[$id] ?? 0);
        }
        self::keepOnly($this->drilled, $drilled);
        self::keepOnly($this->fallen, $fallen);
        self::keepOnly($this->combinations, $times);
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This entry is not stored yet.');
    }

    public function key(): string
    {
        return $this->key;
    }

    public function run(): ?Run
    {
        return $this->run;
    }

    public function plan(): ?Plan
    {
        return $this->plan;
    }

    public function course(): ?Course
    {
        return $this->course;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function day(): string
    {
        return $this->day;
    }

    public function lengthMs(): int
    {
        return $this->lengthMs;
    }

    public function workMs(): int
    {
        return $this->workMs;
    }

    public function coachName(): string
    {
        return $this->coachName;
    }

    public function attendance(): Attendance
    {
        return new Attendance($this->orthodox, $this->southpaw, $this->levels);
    }

    public function effort(): ?int
    {
        return $this->effort;
    }

    public function note(): string
    {
        return $this->note;
    }

    public function isRemoved(): bool
    {
        return null !== $this->removedAt;
    }

    public function figures(): Figures
    {
        return $this->figures;
    }

    /** @return list<DrilledRow> */
    public function drilled(): array
    {
        return array_values($this->drilled->map(static fn (LogDrilled $one): DrilledRow => $one->row())->toArray());
    }

    /** @return list<FallenLink> */
    public function fallen(): array
    {
        return array_values($this->fallen->map(static fn (LogFallenLink $one): FallenLink => $one->link())->toArray());
    }

    /** @return list<string> what was drilled, each once */
    public function combinationNames(): array
    {
        $names = array_map(static fn (DrilledRow $row): string => $row->name, $this->drilled());

        return array_values(array_unique(array_filter($names, static fn (string $name): bool => '' !== $name)));
    }

    public function changedMeanwhile(): string
    {
        return t('This entry was changed meanwhile. Nothing was overwritten; look at the newest and correct it again.');
    }

    /** Returns the entry as a row of a list. */
    public function row(): LogRow
    {
        return new LogRow(
            id: $this->id(),
            version: $this->version,
            run: $this->run?->id(),
            plan: $this->plan?->id(),
            course: $this->course?->id(),
            courseName: $this->course?->name(),
            name: $this->name,
            day: $this->day,
            lengthMs: $this->lengthMs,
            workMs: $this->workMs,
            coach: $this->coach?->id(),
            coachName: $this->coachName,
            orthodox: $this->orthodox,
            southpaw: $this->southpaw,
            levels: $this->levels,
            effort: $this->effort,
            note: $this->note,
            isChecked: $this->isChecked,
            removedAt: $this->removedAt,
            combinations: $this->combinationNames(),
            fallen: $this->fallen->count(),
        );
    }

    /**
     * @template T of object
     *
     * @param Collection<int, T> $rows
     * @param array<int, mixed> $wanted by the keys that stay
     */
    private static function keepOnly(Collection $rows, array $wanted): void
    {
        foreach (array_diff($rows->getKeys(), array_keys($wanted)) as $key) {
            $rows->remove($key);
        }
    }
}
