<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use function Periplus\Core\Language\t;

/**
 * Orders combinations so that each shares most with the one before (by the edit distance of the library) and levels do
 * not fall. Up to twelve of one level the order is exact; beyond that it is searched for, and a lower bound says how
 * good it is at least.
 */
final class Sequencer
{
    /** Maximum number of combinations of one level for which the order is exact. */
    public const MAX_EXACT = 12;
    public const MAX_COMBINATIONS = 200;
    /** Difference between two costs that is no more than rounding. */
    public const TOLERANCE = 1e-9;

    /** @param list<Stop> $stops */
    private function __construct(private readonly array $stops)
    {
    }

    /** @param list<Stop> $stops at most MAX_COMBINATIONS */
    public static function order(array $stops): Order
    {
        if (\count($stops) > self::MAX_COMBINATIONS) {
            throw new \DomainException(
                t(
                    'At most {maxCombinations} combinations can be ordered at a time.',
                    maxCombinations: self::MAX_COMBINATIONS,
                ),
            );
        }

        return (new self($stops))->best();
    }

    private function best(): Order
    {
        $groups = [];
        foreach ($this->stops as $place => $stop) {
            $groups[$stop->level][] = $place;
        }
        ksort($groups);
        $groups = array_values($groups);
        if ([] === $groups) {
            return new Order([], [], 0.0, 0.0, true);
        }
        $isExact = max(array_map(\count(...), $groups)) <= self::MAX_EXACT;
        $distances = new Distances($this->stops);
        $order = $isExact
            ? (new ExactOrder($distances))->find($groups)
            : (new LocalSearch($this->stops, $distances))->find($groups);
        // Within one level both directions cost the same; start with the shorter combination.
        if (
            1 === \count($groups)
            && \count($this->stops[$order[0]]->chain) > \count($this->stops[$order[\count($order) - 1]]->chain)
        ) {
            $order = array_reverse($order);
        }
        $steps = $distances->steps($order);
        $cost = array_sum($steps);
        $bound = $isExact
            ? $cost
            : min($cost, (new LowerBound(\count($this->stops), $distances))->find($groups, $cost));

        return new Order($order, $steps, $cost, $bound, $cost - $bound < self::TOLERANCE);
    }
}
