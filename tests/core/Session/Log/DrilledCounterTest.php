<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session\Log;

use Periplus\Core\Session\Load\Figures;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Session\Log\Coverage;
use Periplus\Core\Session\Log\Drilled;
use Periplus\Core\Session\Log\DrilledCounter;
use Periplus\Core\Session\Log\LoadFindings;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Session\Plans;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What was drilled follows from the parts of the programme that were done. */
final class DrilledCounterTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, array<string, mixed>}> */
    public static function drills(): iterable
    {
        yield 'repeat' => ['repeat', ['1 2 3'], []];
        yield 'set list' => ['set-list', ['1 2', '1 2 3'], []];
        yield 'ladder' => ['ladder', ['1 2 3 2'], []];
        yield 'alternate' => ['alternate', ['1 2 3'], []];
        yield 'other stance' => ['other-stance', ['1 2 3'], []];
        yield 'free' => ['free', [], []];
        yield 'calls' => ['calls', ['1 2', '1 2 3'], []];
        yield 'return fire' => ['return-fire', ['1 2'], []];
        yield 'repetitions' => ['repetitions', ['1 2', '1 6'], ['counts' => [3, 2]]];
        yield 'menu' => ['menu', ['2 3', '3b 3'], ['opening' => '1', 'ending' => 'exit']];
        yield 'exchange' => [
            'exchange',
            ['slip-lead 3b', 'block-rear 6 3 2'],
            ['first' => 'they', 'incoming' => ['2', '3']],
        ];
        yield 'alternate several' => ['alternate', ['1 2', '2 3', '1 1'], []];
        yield 'an ending' => ['setup-free', ['1 2'], ['ending' => '14l']];
    }

    /**
     * A complete session has exactly the planned load.
     *
     * @param list<string> $chains
     * @param array<string, mixed> $parameters
     */
    #[DataProvider('drills')]
    public function testAWholeSessionIsItsPlannedLoad(string $drill, array $chains, array $parameters): void
    {
        $programme = Plans::programme(
            Plans::set(
                $drill,
                array_map(static fn (string $chain): array => ['chain' => $chain], $chains),
                120,
                $parameters,
            ),
        );
        foreach ([[1, 0, Stance::Orthodox], [0, 1, Stance::Southpaw]] as [$orthodox, $southpaw, $athlete]) {
            $logged = DrilledCounter::load(
                DrilledCounter::drilled($programme, Coverage::whole($programme)),
                new Attendance($orthodox, $southpaw),
            );
            $planned = LoadCounter::load($programme, null, $athlete);

            self::assertEqualsWithDelta(
                [
                    $planned->strikes,
                    $planned->repetitions,
                    $planned->openings,
                    $planned->jabOpenings,
                    $planned->stanceMs['orthodox'],
                    $planned->stanceMs['southpaw'],
                ],
                [
                    $logged->strikes,
                    $logged->repetitions,
                    $logged->openings,
                    $logged->jabOpenings,
                    $logged->stanceMs['orthodox'],
                    $logged->stanceMs['southpaw'],
                ],
                0.01,
            );
            self::assertEqualsWithDelta(
                [...array_values($planned->bySide), ...array_values($planned->byTarget)],
                [...array_values($logged->bySide), ...array_values($logged->byTarget)],
                0.01,
            );
        }
    }

    public function testHalfOfARoundIsHalfOfIt(): void
    {
        $programme = Plans::programme(Plans::set('repeat', [['chain' => '1 2 3']], 60));
        [$whole] = DrilledCounter::drilled($programme, Coverage::whole($programme));
        [$half] = DrilledCounter::drilled($programme, new Coverage([[0, 30_000]]));

        self::assertEqualsWithDelta([$whole->ms / 2, $whole->repetitions / 2], [$half->ms, $half->repetitions], 1e-6);
        self::assertSame(
            [60_000, 30_000],
            [
                DrilledCounter::workMs($programme, Coverage::whole($programme)),
                DrilledCounter::workMs($programme, new Coverage([[0, 30_000]])),
            ],
        );
    }

    public function testALadderBelongsToItsCombination(): void
    {
        $programme = Plans::programme(
            Plans::set('ladder', [['chain' => '1 2 3', 'name' => 'Front porch', 'id' => 7]], 60),
        );
        $drilled = DrilledCounter::drilled($programme, Coverage::whole($programme));

        self::assertSame(
            [7],
            array_values(array_unique(array_map(static fn (Drilled $one): ?int => $one->id, $drilled))),
        );
        self::assertGreaterThan(1, \count($drilled), 'each rung is thrown by itself');
        self::assertEqualsWithDelta(
            60_000,
            array_sum(array_map(static fn (Drilled $one): float => $one->ms, $drilled)),
            1,
        );
    }

    /**
     * @param list<string> $chains
     * @param array<string, mixed> $parameters
     */
    #[TestWith(['menu', ['2 3', '3b 3'], ['opening' => '1', 'ending' => 'exit']])]
    #[TestWith(['exchange', ['slip-lead 3b', 'block-rear 6 3 2'], ['first' => 'they', 'incoming' => ['2', '3']]])]
    public function testEachCombinationOfAMenuAndOfAnExchangeIsDrilled(
        string $drill,
        array $chains,
        array $parameters,
    ): void {
        $planned = [];
        foreach ($chains as $index => $chain) {
            $planned[] = ['chain' => $chain, 'id' => 1 + $index];
        }
        $programme = Plans::programme(Plans::set($drill, $planned, 120, $parameters));
        $drilled = DrilledCounter::drilled($programme, Coverage::whole($programme));

        self::assertSame([1, 2], array_map(static fn (Drilled $one): ?int => $one->id, $drilled));
        self::assertEqualsWithDelta(
            120_000,
            array_sum(array_map(static fn (Drilled $one): float => $one->ms, $drilled)),
            1,
        );
        foreach ($drilled as $one) {
            self::assertGreaterThan(0, $one->repetitions);
        }
    }

    public function testWhatWasStartedAndLeftIsNotDrilled(): void
    {
        $programme = Plans::programme(Plans::set('repeat', [['chain' => '1 2 3']], 60));

        self::assertSame([], DrilledCounter::drilled($programme, new Coverage([[0, 900]])));
    }

    public function testRestAndTalkAreNoWork(): void
    {
        $programme = Plans::programme(
            Plans::of([
                [
                    'seconds' => 60,
                    'rest' => 60,
                    'times' => 2,
                    'sets' => [['drill' => 'repeat', 'combinations' => [['chain' => '1 2']]]],
                ],
            ]),
        );

        self::assertSame(120_000, DrilledCounter::workMs($programme, Coverage::whole($programme)));
        self::assertSame(0, DrilledCounter::workMs($programme, new Coverage([[60_000, 120_000]])));
    }

    #[TestWith([null, null, 1.0, 0.0])]
    #[TestWith([0, 0, 1.0, 0.0])]
    #[TestWith([9, 3, 0.75, 0.25])]
    #[TestWith([null, 4, 0.0, 1.0])]
    public function testAttendanceIsShares(?int $orthodox, ?int $southpaw, float $one, float $other): void
    {
        $attendance = new Attendance($orthodox, $southpaw);

        self::assertSame(
            [$one, $other],
            [$attendance->ofStance(Stance::Orthodox), $attendance->ofStance(Stance::Southpaw)],
        );
    }

    /** @param array<int, int> $counted */
    #[TestWith([[], 0.5, 0.5])]
    #[TestWith([[1 => 6, 3 => 2], 0.75, 0.25])]
    #[TestWith([[2 => 5], 0.5, 0.5])]
    public function testLevelsWeighByWhoWasThere(array $counted, float $one, float $three): void
    {
        $attendance = new Attendance(levels: $counted);

        self::assertSame(
            [$one, $three, 1.0],
            [$attendance->ofLevel(1, [1, 3]), $attendance->ofLevel(3, [1, 3]), $attendance->ofLevel(null, [1, 3])],
        );
    }

    /**
     * @param array<string, float> $figures
     * @param list<string> $sentences
     */
    #[TestWith([['strikes' => 50.0, 'side left' => 50.0], []])]
    #[TestWith([
        [
            'strikes' => 1000.0,
            'side left' => 500.0,
            'side right' => 500.0,
            'target head' => 600.0,
            'target body' => 300.0,
            'target leg' => 100.0,
            'stance orthodox' => 700.0,
            'stance southpaw' => 300.0,
            'openings' => 300.0,
            'openings jab' => 180.0,
        ],
        [],
    ]),]
    #[TestWith([
        [
            'strikes' => 1000.0,
            'side left' => 300.0,
            'side right' => 700.0,
            'stance orthodox' => 95.0,
            'stance southpaw' => 5.0,
            'target head' => 970.0,
            'target body' => 30.0,
            'target leg' => 0.0,
            'openings' => 100.0,
            'openings jab' => 95.0,
        ],
        [
            'The right side throws 70 % of the strikes. Rounds in the other stance even it out.',
            'The body gets 3 % of what lands. Chains that change height are missing.',
            'Only 5 % of the minutes are in the southpaw stance.',
            '95 % of the repetitions open with a jab: opponents will know what comes first.',
        ],
    ]),]
    public function testAnImbalanceIsDescribedInASentence(array $figures, array $sentences): void
    {
        self::assertSame($sentences, LoadFindings::find(Figures::stored($figures)));
    }
}
