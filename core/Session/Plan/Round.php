<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Session\Drill\RoundStance;

/** Work and rest, as often as it says. */
final readonly class Round
{
    /**
     * @param int $seconds of work
     * @param int $rest s, between this round and the next; the rest after the last round of a block is left out, unless tracks have patterns of their own
     * @param array<int, Lane> $lanes by the place of the track; where a track is not named, or there are none, `$everybody` counts
     * @param bool $moves whether athletes move on after each round; otherwise they stay in place
     */
    public function __construct(
        public string $place,
        public string $where,
        public int $seconds,
        public int $rest,
        public int $times,
        public RoundStance $stance,
        public Medium $medium,
        public bool $moves,
        public bool $lastTen,
        public string $note,
        public Lane $everybody,
        public array $lanes = [],
    ) {
    }

    /** s of work and rest together, in which the patterns of the tracks repeat */
    public function cycle(): int
    {
        return $this->seconds + $this->rest;
    }

    /** The lane of that track. */
    public function lane(int $track): Lane
    {
        return $this->lanes[$track] ?? $this->everybody;
    }
}
