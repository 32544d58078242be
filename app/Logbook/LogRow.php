<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** A logbook entry in a list. */
final readonly class LogRow implements \JsonSerializable
{
    /**
     * @param int|null $run that it was made of; null for one that was written by hand
     * @param int|null $plan the planned session that took place
     * @param array<int, int> $levels athletes by level
     * @param list<string> $combinations names of what was drilled, each once
     * @param int $fallen how many links fell apart
     */
    public function __construct(
        public int $id,
        public int $version,
        public ?int $run,
        public ?int $plan,
        public ?int $course,
        public ?string $courseName,
        public string $name,
        public string $day,
        public int $lengthMs,
        public int $workMs,
        public ?int $coach,
        public string $coachName,
        public ?int $orthodox,
        public ?int $southpaw,
        public array $levels,
        public ?int $effort,
        public string $note,
        public bool $isChecked,
        public ?\DateTimeImmutable $removedAt,
        public array $combinations = [],
        public int $fallen = 0,
    ) {
    }

    /** @param list<string> $combinations */
    public function with(array $combinations, int $fallen): self
    {
        /**
         * @var array{
         *     int,
         *     int,
         *     int|null,
         *     int|null,
         *     int|null,
         *     string|null,
         *     string,
         *     string,
         *     int,
         *     int,
         *     int|null,
         *     string,
         *     int|null,
         *     int|null,
         *     array<int, int>,
         *     int|null,
         *     string,
         *     bool,
         *     \DateTimeImmutable|null,
         * } $same
         */
        $same = array_values(\array_slice(get_object_vars($this), 0, -2));

        return new self(...$same, combinations: $combinations, fallen: $fallen);
    }

    public function jsonSerialize(): ShownEntry
    {
        return new ShownEntry($this);
    }
}
