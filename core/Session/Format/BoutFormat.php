<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Format;

use Periplus\Core\Technique\Data;

/** Rounds, work and rest of a bout in a sport. From memory: the current rulebook decides. */
final readonly class BoutFormat
{
    public function __construct(
        public string $id,
        public string $sport,
        public string $class,
        public int $rounds,
        public int $seconds,
        public int $rest,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /**
         * @var array{
         *     formats: list<array{id: string, sport: string, class: string, rounds: int, seconds: int, rest: int}>,
         * } $data
         */
        $data = Data::read('bout-formats');

        return array_map(
            static fn (array $row): self => new self(
                $row['id'],
                $row['sport'],
                $row['class'],
                $row['rounds'],
                $row['seconds'],
                $row['rest'],
            ),
            $data['formats'],
        );
    }

    /** Returns the length of work and the rests in between, in s. */
    public function length(): int
    {
        return $this->rounds * $this->seconds + ($this->rounds - 1) * $this->rest;
    }
}
