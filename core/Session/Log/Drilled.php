<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Technique\Medium;

/** The work on one combination in a session: a repeated chain, or free strikes. */
final readonly class Drilled
{
    /**
     * @param ChainInStance|null $combination what it belongs to; null for free work
     * @param ChainInStance|null $thrown the chain itself: the combination, or a part of it
     * @param int|null $id of the combination in the library
     * @param float $ms of work
     * @param float $otherMs of that in the stance that is not the athlete's own
     * @param float $repetitions of the chain
     * @param float $strikes of the athlete's choice, where no chain is thrown
     * @param int|null $level of the track that did it; null for everybody
     */
    public function __construct(
        public ?ChainInStance $combination,
        public ?ChainInStance $thrown,
        public string $name,
        public ?int $id,
        public float $ms,
        public float $otherMs,
        public float $repetitions,
        public float $strikes,
        public Medium $medium,
        public ?int $level,
    ) {
    }

    public function and(self $more): self
    {
        return new self(
            combination: $this->combination,
            thrown: $this->thrown,
            name: $this->name,
            id: $this->id,
            ms: $this->ms + $more->ms,
            otherMs: $this->otherMs + $more->otherMs,
            repetitions: $this->repetitions + $more->repetitions,
            strikes: $this->strikes + $more->strikes,
            medium: $this->medium,
            level: $this->level,
        );
    }
}
