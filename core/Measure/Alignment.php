<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/**
 * Assigns taps to strikes over several repetitions by the cheapest alignment (dynamic programming, as for two sequences
 * by Needleman and Wunsch 1970). Strikes may be missed and taps may be superfluous; the athlete's pace is estimated
 * along the way.
 */
final readonly class Alignment
{
    /** Maximum number of taps or hits in a measurement. */
    public const MAX_TAPS = 600;
    private const MISSED_COST = 1.2;
    private const EXTRA_COST = 1.0;
    private const REPETITION_COST = 0.2;
    /** Maximum number of missed strikes in a row. */
    private const MAX_MISSES = 4;
    /** Maximum number of superfluous taps in a row. */
    private const MAX_EXTRA = 2;
    /** Maximum cost of an interval of a very different length. */
    private const MAX_INTERVAL_COST = 2.2;
    private const TRIED_PACES = [0.6, 0.8, 1.0, 1.3, 1.7, 2.2, 3.0];

    /**
     * @param list<array<int, int>> $repetitions the tap of each strike that was heard, by the strike's place among the
     *                                           contacts
     * @param list<int> $extra taps that are no strike
     * @param float $pace how many times the computed time the athlete takes on the whole
     */
    private function __construct(
        public array $repetitions,
        public array $extra,
        public float $pace,
        private float $cost,
    ) {
    }

    /**
     * @param list<float> $taps ms, in their order
     * @param list<float> $contacts ms from the start of the chain, at least two
     */
    public static function of(array $taps, array $contacts): self
    {
        $best = null;
        foreach (self::TRIED_PACES as $pace) {
            $one = self::atPace($taps, $contacts, $pace);
            if (null === $best || $one->cost < $best->cost - 1e-9) {
                $best = $one;
            }
        }
        // The measured pace is closer to the truth than the one that was tried.
        for ($round = 0; $round < 2; ++$round) {
            $next = self::atPace($taps, $contacts, self::paceOf($taps, $contacts, $best->repetitions));
            if ($next->cost >= $best->cost) {
                break;
            }
            $best = $next;
        }

        return $best;
    }

    /** Returns the number of strikes without a tap. */
    public function missed(int $contacts): int
    {
        return array_sum(
            array_map(static fn (array $repetition): int => $contacts - \count($repetition), $this->repetitions),
        );
    }

    /**
     * @param list<float> $taps
     * @param list<float> $contacts
     */
    private static function atPace(array $taps, array $contacts, float $pace): self
    {
        $count = \count($contacts);
        $longest = 0.0;
        for ($k = 1; $k < $count; ++$k) {
            $longest = max($longest, $pace * ($contacts[$k] - $contacts[$k - 1]));
        }
        /** @var list<list<float>> $costs */
        $costs = [];
        /** @var list<list<array{int, int, bool}|null>> $from */
        $from = [];
        /**
         * @var list<array{
         *     float,
         *     int,
         * }> $ends the least cost of a repetition that ends with a tap, and with which strike
         */
        $ends = [];
        foreach ($taps as $i => $tap) {
            for ($k = 0; $k < $count; ++$k) {
                $cost = self::EXTRA_COST * $i + self::MISSED_COST * $k;
                $way = null;
                for ($j = $i - 1; $j >= max(0, $i - 1 - self::MAX_EXTRA); --$j) {
                    $skipped = self::EXTRA_COST * ($i - 1 - $j);
                    $gap = $tap - $taps[$j];
                    for ($m = max(0, $k - 1 - self::MAX_MISSES); $m < $k; ++$m) {
                        $next =
                            $costs[$j][$m]
                            + $skipped
                            + self::MISSED_COST * ($k - $m - 1)
                            + self::odd($gap, $pace * ($contacts[$k] - $contacts[$m]));
                        if ($next < $cost) {
                            [$cost, $way] = [$next, [$j, $m, false]];
                        }
                    }
                    // The time between two repetitions is at least that between two strikes.
                    [$ended, $m] = $ends[$j];
                    $again =
                        $ended
                        + $skipped
                        + self::MISSED_COST * $k
                        + self::REPETITION_COST
                        + ($gap < $longest ? self::odd($gap, $longest) : 0.0);
                    if ($again < $cost) {
                        [$cost, $way] = [$again, [$j, $m, true]];
                    }
                }
                $costs[$i][$k] = $cost;
                $from[$i][$k] = $way;
            }
            $ends[$i] = [\PHP_FLOAT_MAX, 0];
            foreach ($costs[$i] as $m => $cost) {
                $ended = $cost + self::MISSED_COST * ($count - 1 - $m);
                $ends[$i] = $ended < $ends[$i][0] ? [$ended, $m] : $ends[$i];
            }
        }
        [$least, $cell] = [self::EXTRA_COST * \count($taps), null];
        foreach ($ends as $i => [$ended, $k]) {
            $whole = $ended + self::EXTRA_COST * (\count($taps) - 1 - $i);
            if ($whole < $least) {
                [$least, $cell] = [$whole, [$i, $k]];
            }
        }
        $repetitions = [];
        $current = $used = [];
        while (null !== $cell) {
            [$i, $k] = $cell;
            $current[$k] = $i;
            $used[$i] = true;
            $way = $from[$i][$k];
            if (null === $way || $way[2]) {
                ksort($current);
                array_unshift($repetitions, $current);
                $current = [];
            }
            $cell = null === $way ? null : [$way[0], $way[1]];
        }

        return new self($repetitions, array_values(array_diff(array_keys($taps), array_keys($used))), $pace, $least);
    }

    private static function odd(float $gap, float $expected): float
    {
        return min(self::MAX_INTERVAL_COST, abs(log(max(1.0, $gap) / max(1.0, $expected))));
    }

    /**
     * @param list<float> $taps
     * @param list<float> $contacts
     * @param list<array<int, int>> $repetitions
     */
    private static function paceOf(array $taps, array $contacts, array $repetitions): float
    {
        $ratios = [];
        foreach ($repetitions as $repetition) {
            foreach ($repetition as $k => $tap) {
                if (isset($repetition[$k + 1])) {
                    $ratios[] =
                        ($taps[$repetition[$k + 1]] - $taps[$tap]) / max(1.0, $contacts[$k + 1] - $contacts[$k]);
                }
            }
        }

        return [] === $ratios ? 1.0 : max(0.3, min(5.0, Statistics::median($ratios)));
    }
}
