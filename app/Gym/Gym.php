<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;

use function Periplus\Core\Language\t;

/** The gym of this database: a single row, created by the first migration. */
#[ORM\Entity(repositoryClass: Gyms::class)]
#[ORM\Table(name: 'gym')]
class Gym implements Versioned
{
    use HasVersion;

    public const ID = 1;

    #[ORM\Id, ORM\Column]
    private int $id = self::ID;

    #[ORM\Column(length: 80)]
    private string $name = '';

    #[ORM\Column(length: 10, enumType: GymKind::class, options: ['default' => 'empty'])]
    private GymKind $kind = GymKind::Empty;

    #[ORM\Column(length: 40, options: ['default' => 'parity'])]
    private string $numbering = 'parity';

    /** Incremented by every write to the library, see {@see LibraryLock}. */
    #[ORM\Column(type: 'bigint', options: ['default' => 0])]
    private int $revision = 0;

    /** Digest of the core with which the library was last checked. */
    #[ORM\Column(length: 32, options: ['fixed' => true, 'default' => ''])]
    private string $checkedBy = '';

    #[ORM\Column(length: 40, options: ['default' => 'UTC'])]
    private string $timeZone = 'UTC';

    /** 1 (Monday) to 7 (Sunday), as in ISO 8601. */
    #[ORM\Column(type: 'smallint', options: ['default' => 1])]
    private int $firstWeekday = 1;

    /** Identifies this gym in external calendars. */
    #[ORM\Column(length: 32, options: ['fixed' => true, 'default' => ''])]
    private string $calendar = '';

    /** @var array<string, mixed>|null read and written by the voice of calls */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $voice = null;

    #[ORM\Column(options: ['default' => false])]
    private bool $backsUpRecordings = false;

    #[ORM\Column(type: TrainingType::NAME, nullable: true)]
    private ?Training $training = null;

    /** @var array<string, string>|null outcome by step; null where there is nothing to set up */
    #[ORM\Column(type: 'json', nullable: true)]
    private ?array $setup = null;

    public function name(): string
    {
        return $this->name;
    }

    public function timeZone(): \DateTimeZone
    {
        return new \DateTimeZone($this->timeZone);
    }

    public function firstWeekday(): int
    {
        return $this->firstWeekday;
    }

    public function calendar(): string
    {
        return $this->calendar;
    }

    public function kind(): GymKind
    {
        return $this->kind;
    }

    /** Turns an empty gym into the demo. */
    public function becomeDemo(string $name, \DateTimeZone $timeZone): void
    {
        $this->name = $name;
        $this->timeZone = $timeZone->getName();
        $this->kind = GymKind::Demo;
    }

    /** Turns an empty gym into a real one and starts its setup. */
    public function found(string $name): void
    {
        $this->name = $name;
        $this->kind = GymKind::Own;
        $this->setup = [];
    }

    public function change(string $name, \DateTimeZone $timeZone, int $firstWeekday): void
    {
        $this->name = $name;
        $this->timeZone = $timeZone->getName();
        $this->firstWeekday = $firstWeekday;
    }

    public function training(): ?Training
    {
        return $this->training;
    }

    public function train(Training $training): void
    {
        $this->training = $training;
    }

    public function numbering(): string
    {
        return $this->numbering;
    }

    /** @return array<string, mixed>|null how calls are spoken; null for the voice that ships */
    public function voice(): ?array
    {
        return $this->voice;
    }

    /** Tells whether backups contain the recordings of coaches, which may be large. */
    public function backsUpRecordings(): bool
    {
        return $this->backsUpRecordings;
    }

    public function endSetupStep(SetupStep $step, SetupOutcome $outcome): void
    {
        // A completed step stays completed when it is visited again.
        if (SetupOutcome::Done->value !== ($this->setup[$step->value] ?? null)) {
            $this->setup = [...($this->setup ?? []), $step->value => $outcome->value];
        }
    }

    /** @return array<string, SetupOutcome> by step; a step that is missing is still to do */
    public function setup(): array
    {
        return array_map(SetupOutcome::from(...), $this->setup ?? []);
    }

    public function changedMeanwhile(): string
    {
        return t('Somebody else changed this meanwhile. Nothing was overwritten; look at the newest and make the '
            .'change again.');
    }

    /** Tells whether there are steps that were neither completed nor skipped. */
    public function isBeingSetUp(): bool
    {
        return GymKind::Own === $this->kind
            && null !== $this->setup
            && \count($this->setup) < \count(SetupStep::cases());
    }
}
