<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Plan\Lane;
use Periplus\Core\Session\Plan\Round;

/**
 * One time that a round is done.
 *
 * @internal to {@see ProgrammeBuilder}
 */
final readonly class Step
{
    /**
     * @param Round $round as it is done, with its amendments
     * @param string $title such as "Round 2 of 6: Pull and counter"
     * @param bool $isLast of its block; there is no rest after it
     * @param int $times how often the round is done
     */
    public function __construct(
        public Round $round,
        public Place $place,
        public string $title,
        public bool $isLast,
        public int $times,
    ) {
    }

    /** Returns what that track does in it, or everybody. */
    public function lane(?int $track): Lane
    {
        return null === $track ? $this->round->everybody : $this->round->lane($track);
    }
}
