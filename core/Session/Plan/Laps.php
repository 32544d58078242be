<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** How often the sets of a round are done one after the other, and the breath between them. */
final readonly class Laps
{
    /** @param int $breath s, between sets and between laps */
    public function __construct(public int $count, public int $breath)
    {
    }

    /**
     * Returns the sets of all laps.
     *
     * @param array<int, Set> $sets of one lap, by their place
     * @param int $stations how many were written
     *
     * @return list<Set>
     */
    public function sets(array $sets, int $stations): array
    {
        $all = [];
        for ($lap = 0; $lap < $this->count; ++$lap) {
            foreach ($sets as $number => $set) {
                $all[] = $set->at(new Station($number, $stations, $lap, $this->count));
            }
        }

        return $all;
    }

    /**
     * Returns how long all laps take, in s.
     *
     * @param int $seconds of the sets of one lap together
     * @param int $sets how many they are
     */
    public function seconds(int $seconds, int $sets): int
    {
        return $this->count * $seconds + $this->breath * max(0, $this->count * $sets - 1);
    }

    /**
     * Returns when there is work.
     *
     * @param list<Set> $sets of all laps
     * @param int $seconds of the round
     *
     * @return list<Window>
     */
    public function windows(array $sets, int $seconds): array
    {
        if (0 === $this->breath || [] === $sets) {
            return [new Window(0, $seconds)];
        }
        $windows = [];
        $offset = 0;
        foreach ($sets as $index => $set) {
            // What the sets leave open at the end stays work.
            $until = $index === \count($sets) - 1 ? max($offset + $set->seconds, $seconds) : $offset + $set->seconds;
            $windows[] = new Window($offset, $until);
            $offset = $until + $this->breath;
        }

        return $windows;
    }
}
