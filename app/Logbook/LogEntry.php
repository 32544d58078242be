<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\Core\Session\Log\Attendance;

/**
 * A session as it was really run, and what a coach said about it.
 *
 * @phpstan-type DrilledRow array{combination_id: int|null, name: string, notation: string|null, stance: string, thrown: string|null, medium: string, level: int|null, ms: int, other_ms: int, repetitions: float, strikes: float}
 * @phpstan-type FallenLink array{notation: string, stance: string, link: int}
 */
final readonly class LogEntry
{
    /**
     * @param string $key by which it is known everywhere, so that it is there once
     * @param int|null $run that it was made of; null for one that was written by hand
     * @param array{id: int, name: string}|null $course
     * @param string $day such as 2026-11-26
     * @param array{id: int|null, name: string} $coach who coached
     * @param array<int, int> $levels athletes by level
     * @param int|null $effort how hard it felt, 0 to 10
     * @param bool $isChecked whether a coach has looked at it since it came in
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     * @param array<string, float> $figures {@see \Periplus\Core\Session\Load\Load::figures}
     */
    public function __construct(
        public int $id,
        public string $key,
        public int $version,
        public ?int $run,
        public ?array $course,
        public string $name,
        public string $day,
        public int $lengthMs,
        public int $workMs,
        public array $coach,
        public ?int $orthodox,
        public ?int $southpaw,
        public array $levels,
        public ?int $effort,
        public string $note,
        public bool $isChecked,
        public bool $removed,
        public array $figures,
        public array $drilled = [],
        public array $fallen = [],
    ) {
    }

    public function attendance(): Attendance
    {
        return new Attendance($this->orthodox, $this->southpaw, $this->levels);
    }

    /** @return array<string, mixed> as lists have it */
    public function row(): array
    {
        return [
            'id' => $this->id,
            'version' => $this->version,
            'run' => $this->run,
            'course' => $this->course,
            'name' => $this->name,
            'day' => $this->day,
            'lengthMs' => $this->lengthMs,
            'workMs' => $this->workMs,
            'coach' => $this->coach,
            'orthodox' => $this->orthodox,
            'southpaw' => $this->southpaw,
            'levels' => (object) $this->levels,
            'effort' => $this->effort,
            'note' => $this->note,
            'isChecked' => $this->isChecked,
            'removed' => $this->removed,
            'combinations' => array_values(array_unique(array_filter(array_column($this->drilled, 'name'), static fn (string $name): bool => '' !== $name))),
            'fallen' => \count($this->fallen),
        ];
    }
}
