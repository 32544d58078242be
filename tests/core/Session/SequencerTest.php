<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Session\Sequence\Sequencer;
use Periplus\Core\Session\Sequence\SharedPart;
use Periplus\Core\Session\Sequence\Stop;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class SequencerTest extends TestCase
{
    #[TestWith([1, 1])]
    #[TestWith([2, 2])]
    #[TestWith([3, 3])]
    #[TestWith([4, 4])]
    #[TestWith([5, 5])]
    #[TestWith([6, 6])]
    #[TestWith([7, 7])]
    #[TestWith([8, 8])]
    #[TestWith([8, 9])]
    #[TestWith([8, 10])]
    #[TestWith([7, 11])]
    #[TestWith([6, 12])]
    public function testTheOrderCostsWhatPlainEnumerationFinds(int $count, int $seed): void
    {
        $stops = self::stops($count, $seed);
        $order = Sequencer::order($stops);

        self::assertEqualsWithDelta(self::enumerated($stops), $order->cost, 1e-9);
        self::assertTrue($order->proven);
        self::assertSame($order->cost, $order->bound);
    }

    #[TestWith([9, 1])]
    #[TestWith([12, 2])]
    #[TestWith([20, 3])]
    #[TestWith([40, 4])]
    #[TestWith([40, 5])]
    public function testTheOrderHasEveryCombinationOnceAndLevelsDoNotFall(int $count, int $seed): void
    {
        $stops = self::stops($count, $seed);
        $order = Sequencer::order($stops);
        $all = $order->order;
        sort($all);
        self::assertSame(range(0, $count - 1), $all);
        $levels = array_map(static fn (int $place): int => $stops[$place]->level, $order->order);
        $sorted = $levels;
        sort($sorted);
        self::assertSame($sorted, $levels);
        $steps = [];
        for ($index = 1; $index < $count; ++$index) {
            $steps[] = EditDistance::builtIn()->distance(
                $stops[$order->order[$index - 1]]->sequence,
                $stops[$order->order[$index]]->sequence,
            );
        }
        self::assertSame($steps, $order->steps);
        self::assertEqualsWithDelta(array_sum($steps), $order->cost, 1e-9);
    }

    /** The result of the local search is compared with an exact order of the same combinations. */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function testFortyCombinationsAreWithinTwoPercentOfTheBound(int $seed): void
    {
        foreach ([false, true] as $oneLevel) {
            $order = Sequencer::order(self::stops(40, $seed, $oneLevel));

            self::assertLessThanOrEqual($order->cost, $order->bound);
            self::assertLessThanOrEqual(1.02 * $order->bound, $order->cost);
        }
    }

    #[TestWith([13, 1])]
    #[TestWith([14, 2])]
    public function testTheBoundOfASearchIsNeverAboveTheExactOrder(int $count, int $seed): void
    {
        $stops = self::stops($count, $seed, true);
        $searched = Sequencer::order($stops);
        $exact = self::heldKarp($stops);

        self::assertLessThanOrEqual($exact + 1e-9, $searched->bound);
        self::assertEqualsWithDelta($exact, $searched->cost, 1e-9);
    }

    public function testNothingAndOneAreOrders(): void
    {
        self::assertSame([], Sequencer::order([])->order);
        self::assertSame([0], Sequencer::order(self::stops(1, 1))->order);
    }

    public function testTooManyAreRefused(): void
    {
        $this->expectExceptionMessage('At most 200 combinations');
        Sequencer::order(array_fill(0, 201, self::stops(1, 1)[0]));
    }

    /** @param list<int> $shared */
    #[TestWith(['1 2', '1 2 3', [0, 1]])]
    #[TestWith(['1 2 3', '1 3b', [0]])]
    #[TestWith(['1 2', '5 6', []])]
    #[TestWith(['2 3 2', '1 2 3 2 exit', [1, 2, 3]])]
    public function testTheSharedPartIsMarkedInTheSecond(string $first, string $second, array $shared): void
    {
        self::assertSame(
            $shared,
            SharedPart::find(Sequence::of(Chains::read($first)), Sequence::of(Chains::read($second))),
        );
    }

    /** @return list<Stop> */
    private static function stops(int $count, int $seed, bool $oneLevel = false): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $hands = array_values(
            array_filter(
                Catalogue::builtIn()->strikes,
                static fn ($strike): bool => Limb::Hand === $strike->limb && !$strike->rare,
            ),
        );
        $stops = [];
        for ($each = 0; $each < $count; ++$each) {
            $items = [];
            for ($length = $random->getInt(1, 6); $length > 0; --$length) {
                $strike = $hands[$random->getInt(0, \count($hands) - 1)];
                $items[] = new StrikeItem($strike, $strike->targets[$random->getInt(0, 1)]);
            }
            $stops[] = new Stop(Chain::of($items), $oneLevel ? 1 : $random->getInt(1, 3));
        }

        return $stops;
    }

    /**
     * Returns the least cost of all orders in which levels do not fall, by trying each.
     *
     * @param list<Stop> $stops
     * @param array<int, int>|null $left places that are still to come
     */
    private static function enumerated(array $stops, ?array $left = null, ?int $last = null): float
    {
        $left ??= array_keys($stops);
        if ([] === $left) {
            return 0.0;
        }
        $level = min(array_map(static fn (int $place): int => $stops[$place]->level, $left));
        $least = \INF;
        foreach ($left as $key => $place) {
            if ($stops[$place]->level === $level) {
                $step =
                    null === $last
                        ? 0.0
                        : EditDistance::builtIn()->distance($stops[$last]->sequence, $stops[$place]->sequence);
                $least = min($least, $step + self::enumerated($stops, array_diff_key($left, [$key => true]), $place));
            }
        }

        return $least;
    }

    /**
     * Returns an independent exact order of one level, by the textbook recursion over subsets.
     *
     * @param list<Stop> $stops
     */
    private static function heldKarp(array $stops): float
    {
        $count = \count($stops);
        $d = [];
        foreach ($stops as $one => $stop) {
            foreach ($stops as $other => $to) {
                $d[$one][$other] = EditDistance::builtIn()->distance($stop->sequence, $to->sequence);
            }
        }
        $cost = [];
        for ($end = 0; $end < $count; ++$end) {
            $cost[1 << $end][$end] = 0.0;
        }
        for ($set = 1; $set < 1 << $count; ++$set) {
            for ($end = 0; $end < $count; ++$end) {
                if (0 === ($set & (1 << $end)) || $set === 1 << $end) {
                    continue;
                }
                $best = \INF;
                foreach ($cost[$set & ~(1 << $end)] as $last => $before) {
                    $best = min($best, $before + $d[$last][$end]);
                }
                $cost[$set][$end] = $best;
            }
        }

        return min($cost[(1 << $count) - 1]);
    }
}
