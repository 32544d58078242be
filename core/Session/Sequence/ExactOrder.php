<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

/**
 * Finds the best order of combinations by dynamic programming over subsets (Held and Karp, "A dynamic programming
 * approach to sequencing problems", J. SIAM 10, 1962). Time and memory double with each combination of a level.
 *
 * @internal to {@see Sequencer}
 */
final readonly class ExactOrder
{
    public function __construct(private Distances $distances)
    {
    }

    /**
     * @param list<list<int>> $groups by level
     *
     * @return list<int>
     */
    public function find(array $groups): array
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
                $cost += $last < 0 ? 0.0 : $this->distances->rows[$last][$place];
                if ($cost < ($costs[1 << $index][$index] ?? \INF) - Sequencer::TOLERANCE) {
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
                    $sum = $cost + $this->distances->rows[$group[$last]][$group[$next]];
                    if ($sum < ($costs[$then][$next] ?? \INF) - Sequencer::TOLERANCE) {
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
}
