<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use Periplus\Core\Similarity\EditDistance;
use Random\Engine\Mt19937;
use Random\Randomizer;

use function Periplus\Core\Language\t;

/**
 * Orders combinations so that each shares most with the one before (by the edit distance of the library) and levels do
 * not fall. Up to twelve of one level the order is exact, by dynamic programming over subsets (Held and Karp, "A
 * dynamic programming approach to sequencing problems", J. SIAM 10, 1962). Beyond that it is a local search (2-opt and
 * moving runs, with random kicks), together with the lower bound of Held and Karp's one-trees ("The traveling-salesman
 * problem and minimum spanning trees: Part II", Math. Programming 1, 1971).
 */
final class Sequencer
{
    /** Maximum number of combinations of one level for which the order is exact. */
    public const MAX_EXACT = 12;
    public const MAX_COMBINATIONS = 200;
    /** Budget of the local search and of the bound: the number of pairs they look at. */
    private const SEARCH_BUDGET = 1_800_000;
    private const ASCENT_BUDGET = 960_000;
    private const TOLERANCE = 1e-9;

    /** @var array<int, array<int, float>> between two places */
    private array $distance = [];
    /** Greatest common divisor of all distances, in thousandths; 0 when all are 0. */
    private int $unit = 0;

    /** @param list<Stop> $stops */
    private function __construct(private readonly array $stops)
    {
        $likeness = EditDistance::builtIn();
        foreach ($stops as $one => $stop) {
            foreach ($stops as $other => $to) {
                $this->distance[$one][$other] =
                    $other < $one
                        ? $this->distance[$other][$one]
                        : ($one === $other
                            ? 0.0
                            : $likeness->distance($stop->sequence, $to->sequence));
                for ($whole = (int) round(1000 * $this->distance[$one][$other]); 0 !== $whole;) {
                    [$this->unit, $whole] = [$whole, $this->unit % $whole];
                }
            }
        }
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
        $order = $isExact ? $this->exact($groups) : $this->searched($groups);
        // Within one level both directions cost the same; start with the shorter combination.
        if (
            1 === \count($groups)
            && \count($this->stops[$order[0]]->chain) > \count($this->stops[$order[\count($order) - 1]]->chain)
        ) {
            $order = array_reverse($order);
        }
        $steps = $this->steps($order);
        $cost = array_sum($steps);
        $bound = $isExact ? $cost : min($cost, $this->bound($groups, $cost));

        return new Order($order, $steps, $cost, $bound, $cost - $bound < self::TOLERANCE);
    }

    /**
     * @param list<int> $order
     *
     * @return list<float>
     */
    private function steps(array $order): array
    {
        $steps = [];
        for ($index = 1; $index < \count($order); ++$index) {
            $steps[] = $this->distance[$order[$index - 1]][$order[$index]];
        }

        return $steps;
    }

    /**
     * @param list<list<int>> $groups by level
     *
     * @return list<int>
     */
    private function exact(array $groups): array
    {
        // For each last combination of the previous group: the cost to get there, and the order.
        $reached = [-1 => [0.0, []]];
        foreach ($groups as $group) {
            $reached = $this->through($group, $reached);
        }
        usort(
            $reached,
            static fn (array $one, array $other): int => [round($one[0], 6), $one[1]] <=> [
                round($other[0], 6),
                $other[1],
            ],
        );

        return $reached[0][1];
    }

    /**
     * @param list<int> $group
     * @param array<int, array{float, list<int>}> $reached by the last place
     *
     * @return array<int, array{float, list<int>}> the same after all of the group
     */
    private function through(array $group, array $reached): array
    {
        $count = \count($group);
        $full = (1 << $count) - 1;
        $costs = $from = [];
        foreach ($group as $index => $place) {
            foreach ($reached as $last => [$cost]) {
                $cost += $last < 0 ? 0.0 : $this->distance[$last][$place];
                if ($cost < ($costs[1 << $index][$index] ?? \INF) - self::TOLERANCE) {
                    $costs[1 << $index][$index] = $cost;
                    $from[1 << $index][$index] = $last;
                }
            }
        }
        for ($set = 1; $set <= $full; ++$set) {
            foreach ($costs[$set] ?? [] as $last => $cost) {
                for ($next = 0; $next < $count; ++$next) {
                    if (0 !== ($set & (1 << $next))) {
                        continue;
                    }
                    $then = $set | (1 << $next);
                    $sum = $cost + $this->distance[$group[$last]][$group[$next]];
                    if ($sum < ($costs[$then][$next] ?? \INF) - self::TOLERANCE) {
                        $costs[$then][$next] = $sum;
                        $from[$then][$next] = $last;
                    }
                }
            }
        }
        $ends = [];
        foreach ($costs[$full] ?? [] as $last => $cost) {
            $way = [];
            $set = $full;
            $index = $last;
            while (true) {
                array_unshift($way, $group[$index]);
                $before = $from[$set][$index] ?? -1;
                $rest = $set & ~(1 << $index);
                if (0 === $rest) {
                    $ends[$group[$last]] = [$cost, [...$reached[$before][1], ...$way]];
                    break;
                }
                $set = $rest;
                $index = $before;
            }
        }

        return $ends;
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return list<int>
     */
    private function searched(array $groups): array
    {
        $random = new Randomizer(new Mt19937(1));
        $order = $this->nearest($groups);
        $looks = 0;
        $order = $this->improved($order, $looks);
        $best = $order;
        $bestCost = $cost = array_sum($this->steps($order));
        while ($looks < self::SEARCH_BUDGET) {
            $tried = $this->improved($this->kicked($order, $random), $looks);
            $triedCost = array_sum($this->steps($tried));
            if ($triedCost <= $cost + self::TOLERANCE) {
                [$order, $cost] = [$tried, $triedCost];
            }
            if ($cost < $bestCost - self::TOLERANCE) {
                [$best, $bestCost] = [$order, $cost];
            }
        }

        return $best;
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return list<int> the nearest next, level by level
     */
    private function nearest(array $groups): array
    {
        $order = [];
        foreach ($groups as $group) {
            $left = array_combine($group, $group);
            while ([] !== $left) {
                $last = [] === $order ? null : $order[\count($order) - 1];
                $next = array_key_first($left);
                foreach ($left as $place) {
                    $next =
                        null !== $last && $this->distance[$last][$place] < $this->distance[$last][$next]
                            ? $place
                            : $next;
                }
                $order[] = $next;
                unset($left[$next]);
            }
        }

        return $order;
    }

    /**
     * Reverses and moves runs as long as the total gets smaller; a run stays within its level.
     *
     * @param list<int> $order
     * @param int $looks counted on
     *
     * @return list<int>
     */
    private function improved(array $order, int &$looks): array
    {
        $count = \count($order);
        $d = $this->distance;
        do {
            $better = false;
            for ($from = 0; $from < $count; ++$from) {
                $level = $this->stops[$order[$from]]->level;
                $before = $from > 0 ? $order[$from - 1] : -1;
                for ($to = $from; $to < $count && $this->stops[$order[$to]]->level === $level; ++$to) {
                    ++$looks;
                    $after = $to + 1 < $count ? $order[$to + 1] : -1;
                    [$first, $last] = [$order[$from], $order[$to]];
                    // The run reversed in place.
                    $out = ($before < 0 ? 0.0 : $d[$before][$first]) + ($after < 0 ? 0.0 : $d[$last][$after]);
                    $in = ($before < 0 ? 0.0 : $d[$before][$last]) + ($after < 0 ? 0.0 : $d[$first][$after]);
                    if ($to > $from && $in < $out - self::TOLERANCE) {
                        $run = array_reverse(\array_slice($order, $from, $to - $from + 1));
                        array_splice($order, $from, $to - $from + 1, $run);
                        $better = true;
                        continue 2;
                    }
                    if (
                        $to - $from < 3
                        && $this->moved(
                            $order,
                            $from,
                            $to,
                            $out - ($before < 0 || $after < 0 ? 0.0 : $d[$before][$after]),
                            $looks,
                        )
                    ) {
                        $better = true;
                        continue 2;
                    }
                }
            }
        } while ($better);

        return $order;
    }

    /**
     * Moves a short run to a better place of its level, reversed or not.
     *
     * @param list<int> $order changed when there is one
     * @param float $saved by taking it out
     */
    private function moved(array &$order, int $from, int $to, float $saved, int &$looks): bool
    {
        $count = \count($order);
        $d = $this->distance;
        [$first, $last] = [$order[$from], $order[$to]];
        $level = $this->stops[$first]->level;
        for ($index = 0; $index <= $count; ++$index) {
            if ($index >= $from && $index <= $to + 1) {
                continue;
            }
            $before = $index > 0 ? $order[$index - 1] : -1;
            $after = $index < $count ? $order[$index] : -1;
            if (
                ($before >= 0 && $this->stops[$before]->level > $level)
                || ($after >= 0 && $this->stops[$after]->level < $level)
            ) {
                continue;
            }
            ++$looks;
            $open = $before < 0 || $after < 0 ? 0.0 : $d[$before][$after];
            $straight = ($before < 0 ? 0.0 : $d[$before][$first]) + ($after < 0 ? 0.0 : $d[$last][$after]) - $open;
            $turned = ($before < 0 ? 0.0 : $d[$before][$last]) + ($after < 0 ? 0.0 : $d[$first][$after]) - $open;
            if (min($straight, $turned) < $saved - self::TOLERANCE) {
                $run = \array_slice($order, $from, $to - $from + 1);
                if ($turned < $straight) {
                    $run = array_reverse($run);
                }
                array_splice($order, $from, $to - $from + 1);
                array_splice($order, $index > $to ? $index - \count($run) : $index, 0, $run);

                return true;
            }
        }

        return false;
    }

    /**
     * Swaps two neighbouring runs of one level.
     *
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function kicked(array $order, Randomizer $random): array
    {
        $index = $random->getInt(0, \count($order) - 1);
        $level = $this->stops[$order[$index]]->level;
        $of = array_keys(array_filter($order, fn (int $place): bool => $this->stops[$place]->level === $level));
        if (\count($of) < 4) {
            return $order;
        }
        [$low, $high] = [$of[0], $of[\count($of) - 1]];
        $cuts = [$random->getInt($low, $high + 1), $random->getInt($low, $high + 1), $random->getInt($low, $high + 1)];
        sort($cuts);
        [$a, $b, $c] = $cuts;

        return [
            ...\array_slice($order, 0, $a),
            ...\array_slice($order, $b, $c - $b),
            ...\array_slice($order, $a, $b - $a),
            ...\array_slice($order, $c),
        ];
    }

    /**
     * Returns a lower bound: a tree that joins the combinations of each level, and each level to the next by one link,
     * costs no more than any order. Weights on the combinations, which change the cost of an order only at its ends,
     * push the tree towards a path.
     *
     * @param list<list<int>> $groups
     * @param float $cost of an order that is known
     */
    private function bound(array $groups, float $cost): float
    {
        $count = \count($this->stops);
        $weights = array_fill(0, $count, 0.0);
        $best = 0.0;
        $step = 2.0;
        $since = 0;
        for ($looks = 0; $looks < self::ASCENT_BUDGET; $looks += $count ** 2) {
            [$tree, $degrees] = $this->tree($groups, $weights);
            $value = $tree - 2 * array_sum($weights);
            if ($value > $best + self::TOLERANCE) {
                $best = $value;
                $since = 0;
            } elseif (++$since > 12) {
                $step *= 0.7;
                $since = 0;
            }
            $square = 0;
            foreach ($degrees as $degree) {
                $square += ($degree - 2) ** 2;
            }
            if (0 === $square || $this->lifted($best) >= $cost - self::TOLERANCE) {
                break;
            }
            $by = $step * max(0.05, $cost - $value) / $square;
            foreach ($degrees as $place => $degree) {
                $weights[$place] += $by * ($degree - 2);
            }
        }

        return $this->lifted($best);
    }

    /** Rounds a bound up to the next multiple of the common divisor, because the cost of every order is one. */
    private function lifted(float $bound): float
    {
        return 0 === $this->unit ? $bound : ceil(1000 * $bound / $this->unit - 1e-6) * $this->unit / 1000;
    }

    /**
     * Returns the cheapest tree over the levels, with an extra link at the first and the last level, so that each
     * combination has two.
     *
     * @param list<list<int>> $groups
     * @param array<int, float> $weights
     *
     * @return array{float, list<int>} its cost with the weights, and how many links each place has
     */
    private function tree(array $groups, array $weights): array
    {
        $degrees = array_fill(0, \count($this->stops), 0);
        $cost = 0.0;
        foreach ($groups as $number => $group) {
            $cost += $this->spanning($group, $weights, $degrees);
            $next = $groups[$number + 1] ?? null;
            if (null !== $next) {
                [$least, $ends] = [\INF, [0, 0]];
                foreach ($group as $one) {
                    foreach ($next as $other) {
                        $value = $this->distance[$one][$other] + $weights[$one] + $weights[$other];
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

        return [$cost, array_values($degrees)];
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
            $near[$place] = [$this->distance[$start][$place] + $weights[$start] + $weights[$place], $start];
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
            $row = $this->distance[$next];
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
