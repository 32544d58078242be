<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;

/** A stretch of work on one thing. */
final readonly class Set
{
    /**
     * @param string $place such as blocks[1].rounds[0].sets[2]
     * @param string $where the same in words
     * @param int $seconds of work
     * @param list<PlannedCombination> $combinations
     */
    public function __construct(
        public string $place,
        public string $where,
        public Drill $drill,
        public int $seconds,
        public array $combinations,
        public Parameters $parameters,
        public string $note = '',
    ) {
    }

    public function lasting(int $seconds): self
    {
        return new self(
            place: $this->place,
            where: $this->where,
            drill: $this->drill,
            seconds: $seconds,
            combinations: $this->combinations,
            parameters: $this->parameters,
            note: $this->note,
        );
    }

    /** Returns the set with one of its combinations replaced. */
    public function swapped(int $combination, PlannedCombination $other): self
    {
        $combinations = isset($this->combinations[$combination])
            ? array_values(array_replace($this->combinations, [$combination => $other]))
            : $this->combinations;

        return new self(
            place: $this->place,
            where: $this->where,
            drill: $this->drill,
            seconds: $this->seconds,
            combinations: $combinations,
            parameters: $this->parameters,
            note: $this->note,
        );
    }
}
