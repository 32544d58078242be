<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

/**
 * Works out what any order costs at least, by the one-trees of Held and Karp ("The traveling-salesman problem and
 * minimum spanning trees: Part II", Math. Programming 1, 1971).
 *
 * @internal to {@see Sequencer}
 */
final readonly class LowerBound
{
    /** The number of pairs it looks at. */
    private const BUDGET = 960_000;

    /** @param int $count of the combinations */
    public function __construct(private int $count, private Distances $distances)
    {
    }

    /**
     * Returns a lower bound: a tree that joins the combinations of each level, and each level to the next by one link,
     * costs no more than any order. Weights on the combinations, which change the cost of an order only at its ends,
     * push the tree towards a path.
     *
     * @param list<list<int>> $groups
     * @param float $cost of an order that is known
     */
    public function find(array $groups, float $cost): float
    {
        $weights = array_fill(0, $this->count, 0.0);
        $best = 0.0;
        $step = 2.0;
        $since = 0;
        for ($looks = 0; $looks < self::BUDGET; $looks += $this->count ** 2) {
            $tree = $this->tree($groups, $weights);
            $value = $tree->cost - 2 * array_sum($weights);
            if ($value > $best + Sequencer::TOLERANCE) {
                $best = $value;
                $since = 0;
            } elseif (++$since > 12) {
                $step *= 0.7;
                $since = 0;
            }
            $square = 0;
            foreach ($tree->degrees as $degree) {
                $square += ($degree - 2) ** 2;
            }
            if (0 === $square || $this->distances->lifted($best) >= $cost - Sequencer::TOLERANCE) {
                break;
            }
            $by = $step * max(0.05, $cost - $value) / $square;
            foreach ($tree->degrees as $place => $degree) {
                $weights[$place] += $by * ($degree - 2);
            }
        }

        return $this->distances->lifted($best);
    }

    /**
     * Returns the cheapest tree over the levels, with an extra link at the first and the last level, so that each
     * combination has two.
     *
     * @param list<list<int>> $groups
     * @param array<int, float> $weights
     */
    private function tree(array $groups, array $weights): SpanningTree
    {
        $degrees = array_fill(0, $this->count, 0);
        $cost = 0.0;
        foreach ($groups as $number => $group) {
            $cost += $this->spanning($group, $weights, $degrees);
            $next = $groups[$number + 1] ?? null;
            if (null !== $next) {
                [$least, $ends] = [\INF, [0, 0]];
                foreach ($group as $one) {
                    foreach ($next as $other) {
                        $value = $this->distances->rows[$one][$other] + $weights[$one] + $weights[$other];
                        if ($value < $least) {
                            [$least, $ends] = [$value, [$one, $other]];
                        }
                    }
                }
                $cost += $least;
                ++$degrees[$ends[0]];
                ++$degrees[$ends[1]];
            }
        }
        // The ends are in the first and the last level; with one level they are two different combinations.
        $first = $groups[0];
        $last = $groups[\count($groups) - 1];
        $lighter = static fn (int $one, int $other): int => $weights[$one] <=> $weights[$other];
        usort($first, $lighter);
        usort($last, $lighter);
        $begins = $first[0];
        $ends = \count($groups) > 1 ? $last[0] : $first[1] ?? $begins;
        foreach ([$begins, $ends] as $place) {
            $cost += $weights[$place];
            ++$degrees[$place];
        }

        return new SpanningTree($cost, array_values($degrees));
    }

    /**
     * Prim's algorithm over one level.
     *
     * @param list<int> $group
     * @param array<int, float> $weights
     * @param array<int, int> $degrees counted on
     */
    private function spanning(array $group, array $weights, array &$degrees): float
    {
        $near = [];
        $start = array_shift($group);
        if (null === $start) {
            return 0.0;
        }
        foreach ($group as $place) {
            $near[$place] = [$this->distances->rows[$start][$place] + $weights[$start] + $weights[$place], $start];
        }
        $cost = 0.0;
        while ([] !== $near) {
            $next = array_key_first($near);
            foreach ($near as $place => [$value]) {
                if ($value < $near[$next][0]) {
                    $next = $place;
                }
            }
            $cost += $near[$next][0];
            ++$degrees[$next];
            ++$degrees[$near[$next][1]];
            unset($near[$next]);
            $row = $this->distances->rows[$next];
            $weight = $weights[$next];
            foreach ($near as $place => [$value]) {
                $through = $row[$place] + $weight + $weights[$place];
                if ($through < $value) {
                    $near[$place] = [$through, $next];
                }
            }
        }

        return $cost;
    }
}
