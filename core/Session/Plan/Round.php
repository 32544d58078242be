<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Technique\Medium;

/** Work and rest, repeated a number of times. */
final readonly class Round
{
    /**
     * @param int $seconds of work
     * @param int $rest s, between this round and the next; the rest after the last round of a block is left out, unless
     *                  tracks have patterns of their own
     * @param array<int, Lane> $lanes by the place of the track; where a track is not named, or there are none,
     *                                `$everybody` counts
     * @param Purpose|null $purpose what it is for; null when nothing was said
     * @param string $name what it is about, such as "Pull and counter"; may be empty
     * @param Set|null $inRest what is done in the rest after it, such as a slow demonstration
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
        public ?Purpose $purpose,
        public bool $moves,
        public bool $lastTen,
        public string $note,
        public Lane $everybody,
        public array $lanes = [],
        public string $name = '',
        public ?Set $inRest = null,
    ) {
    }

    /** Returns work plus rest, in s; the patterns of the tracks repeat in it. */
    public function cycle(): int
    {
        return $this->seconds + $this->rest;
    }

    /**
     * Returns the round with more time at a moment, for every track.
     *
     * @param int $offset s from its start
     */
    public function lengthened(int $offset, int $seconds): self
    {
        $isWork = $offset < $this->seconds;

        return $this->with(
            $this->seconds + ($isWork ? $seconds : 0),
            $this->rest + ($isWork ? 0 : $seconds),
            static fn (Lane $lane): Lane => $lane->lengthened($offset, $seconds),
        );
    }

    /**
     * Returns the round with one combination of a set replaced, in all of its laps.
     *
     * @param int|null $track whose set it is; everybody's when null
     */
    public function swapped(?int $track, int $set, int $combination, PlannedCombination $other): self
    {
        return $this->with(
            $this->seconds,
            $this->rest,
            static fn (Lane $lane, ?int $of): Lane => $of === $track
                ? $lane->swapped($set, $combination, $other)
                : $lane,
        );
    }

    /** @param \Closure(Lane, int|null): Lane $change of each lane; that of everybody has no track */
    private function with(int $seconds, int $rest, \Closure $change): self
    {
        $lanes = [];
        foreach ($this->lanes as $track => $lane) {
            $lanes[$track] = $change($lane, $track);
        }

        return new self(
            place: $this->place,
            where: $this->where,
            seconds: $seconds,
            rest: $rest,
            times: $this->times,
            stance: $this->stance,
            medium: $this->medium,
            purpose: $this->purpose,
            moves: $this->moves,
            lastTen: $this->lastTen,
            note: $this->note,
            everybody: $change($this->everybody, null),
            lanes: $lanes,
            name: $this->name,
            inRest: $this->inRest,
        );
    }

    /** Returns the lane of that track. */
    public function lane(int $track): Lane
    {
        return $this->lanes[$track] ?? $this->everybody;
    }
}
