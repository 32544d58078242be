<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session\Log;

use Periplus\Core\Session\Log\Coverage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What was done of a programme, from the reports of walls. */
final class CoverageTest extends TestCase
{
    private const CUES = [0, 10_000, 20_000, 50_000, 60_000];

    public function testFromTheFirstBellToTheLastItIsAll(): void
    {
        self::assertSame(
            [[0, 60_000]],
            self::of([['a', 0, 100], ['a', 50_000, 50_100], ['a', 60_000, 60_100]])->stretches,
        );
    }

    public function testWhatWasEndedBetweenTwoCuesCountsUntilThen(): void
    {
        self::assertSame([[0, 13_000]], self::of([['a', 0, 100], ['a', 10_000, 10_100]], 13_100)->stretches);
    }

    public function testAPauseIsNotCountedBeyondTheNextCue(): void
    {
        self::assertSame([[0, 20_000]], self::of([['a', 0, 100], ['a', 10_000, 10_100]], 900_000)->stretches);
    }

    public function testAfterAJumpANewPassageBegins(): void
    {
        self::assertSame(
            [[0, 12_000], [50_000, 60_000]],
            self::of([['a', 0, 100], ['a', 10_000, 10_100], ['b', 50_000, 12_100], ['b', 60_000, 22_100]])->stretches,
        );
    }

    public function testWhatWasDoneTwiceCountsTwice(): void
    {
        $coverage = self::of([['a', 0, 0], ['a', 50_000, 50_000], ['b', 0, 55_000], ['b', 60_000, 115_000]], 115_000);

        self::assertSame([[0, 55_000], [0, 60_000]], $coverage->stretches);
        self::assertSame(2.0, $coverage->times(0, 50_000));
        self::assertSame(1.5, $coverage->times(50_000, 60_000));
        self::assertSame(0.0, $coverage->times(5000, 5000));
    }

    /** Compared with counting every tenth of a second. */
    #[DataProvider('seeds')]
    public function testTimesAreAPlainCount(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $stretches = [];
        for ($count = $random->getInt(0, 5); $count > 0; --$count) {
            $from = 100 * $random->getInt(0, 500);
            $stretches[] = [$from, $from + 100 * $random->getInt(0, 200)];
        }
        $from = 100 * $random->getInt(0, 500);
        $to = $from + 100 * $random->getInt(1, 200);
        $ticks = 0;
        for ($index = $from; $index < $to; $index += 100) {
            foreach ($stretches as [$begin, $end]) {
                $ticks += $begin <= $index && $index < $end ? 1 : 0;
            }
        }

        self::assertEqualsWithDelta(100 * $ticks / ($to - $from), (new Coverage($stretches))->times($from, $to), 1e-9);
    }

    public function testNothingBeyondTheTimeThatPassedCounts(): void
    {
        $coverage = new Coverage([[0, 60_000], [0, 60_000], [30_000, 50_000]]);

        self::assertSame([[0, 60_000], [0, 15_000]], $coverage->atMost(75_000)->stretches);
        self::assertSame($coverage->stretches, $coverage->atMost(1_000_000)->stretches);
        self::assertSame([], $coverage->atMost(0)->stretches);
    }

    /** @return iterable<int, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 30; ++$seed) {
            yield $seed => [$seed];
        }
    }

    /** @param list<array{string, int, int}> $shown */
    private static function of(array $shown, int $endedMs = 70_000): Coverage
    {
        return Coverage::ofShown(
            array_map(
                static fn (array $one): array => ['passage' => $one[0], 'cueMs' => $one[1], 'shownMs' => $one[2]],
                $shown,
            ),
            self::CUES,
            60_000,
            $endedMs,
        );
    }
}
