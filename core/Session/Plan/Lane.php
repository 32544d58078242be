<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\PlannedCombination;

/** What one track, or everybody, does in a round. */
final readonly class Lane
{
    /**
     * @param list<Window> $windows in which there is work
     * @param list<Set> $sets one after the other over the work; rests do not count
     */
    public function __construct(public array $windows, public array $sets)
    {
    }

    /**
     * Returns the lane with more time at a moment: the current set gets longer, later ones start later.
     *
     * @param int $offset s from the start of the round
     */
    public function lengthened(int $offset, int $seconds): self
    {
        $windows = [];
        $worked = null;
        $work = 0;
        foreach ($this->windows as $window) {
            if ($window->from <= $offset && $offset < $window->to) {
                $worked = $work + $offset - $window->from;
            }
            $work += $window->length();
            $windows[] = $window->lengthened($offset, $seconds);
        }
        $sets = [];
        foreach ($this->sets as $set) {
            $isNow = null !== $worked && $worked >= 0 && $worked < $set->seconds;
            $sets[] = $isNow ? $set->lasting($set->seconds + $seconds) : $set;
            $worked = null === $worked || $isNow ? null : $worked - $set->seconds;
        }

        return new self($windows, $sets);
    }

    /**
     * Returns the lane with one combination of a set replaced, in every lap.
     *
     * @param int $station the number of the set in a lap
     */
    public function swapped(int $station, int $combination, PlannedCombination $other): self
    {
        return new self(
            $this->windows,
            array_map(
                static fn (Set $set): Set => $station === $set->station->number
                    ? $set->swapped($combination, $other)
                    : $set,
                $this->sets,
            ),
        );
    }

    /** Returns the work in s. */
    public function work(): int
    {
        return array_sum(array_map(static fn (Window $window): int => $window->length(), $this->windows));
    }
}
