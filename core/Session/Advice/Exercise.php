<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

/** Work other than strikes: before, between and after the rounds. */
final readonly class Exercise
{
    /**
     * @param list<string> $for warm-up, conditioning, cool-down, between (repetitions)
     * @param int $seconds as usual
     * @param int|null $count as usual; null where it is not counted
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $for,
        public string $does,
        public int $seconds,
        public ?int $count,
        public string $easier,
        public string $caution,
    ) {
    }

    /**
     * @param array{
     *     id: string,
     *     name: string,
     *     for: list<string>,
     *     does: string,
     *     seconds: int,
     *     count?: int|null,
     *     easier: string,
     *     caution: string,
     * } $row
     */
    public static function of(array $row): self
    {
        return new self(
            id: $row['id'],
            name: $row['name'],
            for: $row['for'],
            does: $row['does'],
            seconds: $row['seconds'],
            count: $row['count'] ?? null,
            easier: $row['easier'],
            caution: $row['caution'],
        );
    }
}
