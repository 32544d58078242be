<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for a good order of many combinations: begins with the nearest next, reverses and moves runs as long as that
 * helps (2-opt and or-opt), and starts again from orders with two runs swapped at random. The same combinations always
 * give the same order.
 *
 * @internal to {@see Sequencer}
 */
final readonly class LocalSearch
{
    /** The number of pairs it looks at. */
    private const BUDGET = 1_800_000;

    /** @param list<Stop> $stops */
    public function __construct(private array $stops, private Distances $distances)
    {
    }

    /**
     * @param list<list<int>> $groups
     *
     * @return list<int>
     */
    public function find(array $groups): array
    {
        $random = new Randomizer(new Mt19937(1));
        $order = $this->nearest($groups);
        $looks = 0;
        $order = $this->improved($order, $looks);
        $best = $order;
        $bestCost = $cost = array_sum($this->distances->steps($order));
        while ($looks < self::BUDGET) {
            $tried = $this->improved($this->kicked($order, $random), $looks);
            $triedCost = array_sum($this->distances->steps($tried));
            if ($triedCost <= $cost + Sequencer::TOLERANCE) {
                [$order, $cost] = [$tried, $triedCost];
            }
            if ($cost < $bestCost - Sequencer::TOLERANCE) {
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
                        null !== $last && $this->distances->rows[$last][$place] < $this->distances->rows[$last][$next]
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
        $d = $this->distances->rows;
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
                    if ($to > $from && $in < $out - Sequencer::TOLERANCE) {
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
        $d = $this->distances->rows;
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
            if (min($straight, $turned) < $saved - Sequencer::TOLERANCE) {
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
}
