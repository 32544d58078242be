<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Format\BoutFormat;
use Periplus\Core\Session\Format\Progression;
use Periplus\Core\Session\Format\RoundLength;
use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use Periplus\Tests\Core\Session\Plans;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Sessions computed by hand. Common practice, no source; the arithmetic is given for each. */
final class SessionTest extends TestCase
{
    public function testALadderOfThreeStrikesAtOnesOwnPaceHasThreeRungs(): void
    {
        $cues = array_filter(
            Plans::cues(Plans::programme(Plans::set('ladder', ['1 2 3'], 60))),
            static fn (array $cue): bool => 'rung' === $cue[1],
        );

        self::assertCount(3, $cues);
        self::assertCount(3, Rungs::cut(Chains::read('1 2 3')));
    }

    public function testAPyramidToFiveIsTwentyFiveStrikes(): void
    {
        // 1+2+3+4+5+4+3+2+1 = 25
        $load = LoadCounter::load(
            Plans::programme(Plans::set('pyramid', [], 90, ['top' => 5])),
            null,
            Stance::Orthodox,
        );

        self::assertSame(25.0, $load->strikes);
    }

    /** @return iterable<string, array{list<array<string, mixed>>, int}> rounds, and s of the session */
    public static function lengths(): iterable
    {
        $set = ['combinations' => ['1 2']];
        yield '30/30/30 twice is 180 s' => [
            [
                [
                    'seconds' => 180,
                    'sets' => [
                        [
                            'drill' => 'set-list',
                            'combinations' => ['1', '2', '1 2'],
                            'parameters' => ['seconds' => [30, 30, 30]],
                        ],
                    ],
                ],
            ],
            180,
        ];
        // 3 times 5 min and 2 times 30 s
        yield 'three rounds of five 60 s sets, 30 s between rounds, are 16 min' => [
            [['rest' => 30, 'times' => 3, 'sets' => array_fill(0, 5, [...$set, 'seconds' => 60])]],
            16 * 60,
        ];
        // 8 times 3 min and 7 times 60 s
        yield 'eight rounds of four 45 s sets, 60 s between rounds, are 31 min' => [
            [['rest' => 60, 'times' => 8, 'sets' => array_fill(0, 4, [...$set, 'seconds' => 45])]],
            31 * 60,
        ];
        yield 'ten one-minute rounds with 15 s rest are 12 min 15 s' => [
            [['seconds' => 60, 'rest' => 15, 'times' => 10, 'sets' => [$set]]],
            12 * 60 + 15,
        ];
        yield 'six rounds of 3:00 with 45 s rest are 21 min 45 s' => [
            [['seconds' => 180, 'rest' => 45, 'times' => 6, 'sets' => [$set]]],
            21 * 60 + 45,
        ];
    }

    /** @param list<array<string, mixed>> $rounds */
    #[DataProvider('lengths')]
    public function testASessionLastsAsLongAsItsRoundsAndTheRestsBetweenThem(array $rounds, int $seconds): void
    {
        self::assertSame(1000 * $seconds, Plans::programme(Plans::of($rounds))->lengthMs);
    }

    public function testASetListOfThirtySecondsTwiceShowsEachCombinationTwice(): void
    {
        $cues = Plans::cues(
            Plans::programme(Plans::set('set-list', ['1', '2', '1 2'], 180, ['seconds' => [30, 30, 30]])),
        );
        $shown = array_column(
            array_filter($cues, static fn (array $cue): bool => \in_array($cue[1], ['show', 'change'], true)),
            2,
        );

        self::assertSame(['1', '2', '1 2', '1', '2', '1 2'], $shown);
    }

    public function testThreePatternsOfWorkShareACycleOfFourMinutes(): void
    {
        $programme = Plans::programme(
            Plans::of(
                [
                    [
                        'seconds' => 180,
                        'rest' => 60,
                        'sets' => [['combinations' => ['1 2']]],
                        'tracks' => [
                            ['track' => 0, 'pattern' => [60, 60]],
                            ['track' => 1, 'pattern' => [120, 120]],
                            ['track' => 2, 'pattern' => [180, 60]],
                        ],
                    ],
                ],
                [
                    'tracks' => [
                        ['name' => 'One', 'level' => 1],
                        ['name' => 'Two', 'level' => 2],
                        ['name' => 'Three', 'level' => 3],
                    ],
                ],
            ),
        );

        self::assertSame(240_000, $programme->lengthMs);
        self::assertSame([120_000, 120_000, 180_000], array_map($programme->workMs(...), [0, 1, 2]));
    }

    public function testRestsOfFourLengthsAndRoundsOfFiveMakeTwentySteps(): void
    {
        $steps = (new Progression(120, 180, 15, [60, 50, 40, 30]))->steps();

        self::assertCount(20, $steps);
        self::assertEquals(new RoundLength(120, 60), $steps[0]);
        self::assertEquals(new RoundLength(135, 60), $steps[4]);
        self::assertEquals(new RoundLength(180, 30), $steps[19]);
    }

    /** @param list<int> $held */
    #[TestWith([0, [], 120, 60])]
    #[TestWith([3, [], 120, 30])]
    #[TestWith([4, [], 135, 60])]
    #[TestWith([4, [2], 120, 30])]
    #[TestWith([4, [2, 2, 9], 120, 30])]
    #[TestWith([99, [], 180, 30])]
    public function testAWeekThatFellApartIsDoneAgain(int $week, array $held, int $seconds, int $rest): void
    {
        self::assertEquals(new RoundLength($seconds, $rest), (new Progression())->week($week, $held));
    }

    public function testAFormatLastsItsRoundsAndTheRestsBetween(): void
    {
        // From memory: three times two minutes, a minute between.
        $formats = array_column(
            array_map(static fn (BoutFormat $format): array => [$format->id, $format->length()], BoutFormat::all()),
            1,
            0,
        );

        self::assertSame(480, $formats['boxing-novice']);
        self::assertSame(47 * 60, $formats['boxing-professional-12']);
    }

    public function testLoadOfJabAndCrossForThreeMinutes(): void
    {
        // Jab 200 ms, 40 ms to the next, cross 250 ms: 490 ms; at level 2 there are 4 s to the next repetition.
        // 180 s / 4.49 s = 40.089 repetitions, one strike of each side in each.
        $load = self::load(Plans::set('repeat', ['1 2'], 180), Stance::Orthodox);

        self::assertEqualsWithDelta(40.089, $load->repetitions, 0.001);
        self::assertEqualsWithDelta(80.178, $load->strikes, 0.001);
        self::assertEqualsWithDelta(40.089, $load->bySide['left'], 0.001);
        self::assertEqualsWithDelta(80.178, $load->byTarget['head'], 0.001);
        self::assertEqualsWithDelta(1.0, $load->jabOpenings / $load->openings, 1e-9);
    }

    public function testLoadOfAJabAlternatingTheStance(): void
    {
        // Jab 200 ms, at level 3 there are 2.5 s to the next: 2.7 s; five times are 13.5 s; 54 s hold four of these,
        // two in each stance: ten left jabs and ten right ones.
        $load = self::load(Plans::set('alternate', ['1'], 54, ['times' => 5], ['level' => 3]), Stance::Southpaw);

        self::assertEqualsWithDelta(20.0, $load->strikes, 1e-6);
        self::assertEqualsWithDelta(10.0, $load->bySide['left'], 1e-6);
        self::assertEqualsWithDelta(10.0, $load->bySide['right'], 1e-6);
        self::assertEqualsWithDelta(27_000.0, $load->stanceMs['southpaw'], 1e-6);
    }

    public function testLoadOfSquatsBetweenChains(): void
    {
        // Ten squats are given 30 s, so two take 6 s. Jab 200 ms, 40 ms, overhand 310 ms: 550 ms, and 6 s at level 1.
        // 6 + 6.55 = 12.55 s; 251 s hold 20 of these.
        $load = self::load(
            Plans::set('conditioning', ['1 8'], 251, ['exercise' => 'squats', 'count' => 2], ['level' => 1]),
            Stance::Orthodox,
        );

        self::assertEqualsWithDelta(20.0, $load->repetitions, 1e-6);
        self::assertEqualsWithDelta(20.0, $load->byLimbOfSide['left hand'], 1e-6);
        self::assertEqualsWithDelta(20.0, $load->byWeapon['overhand'], 1e-6);
    }

    public function testEveryRowOfTheTableOfDrillsIsThere(): void
    {
        $drills = [
            'repeat',
            'set-list',
            'ladder',
            'builder',
            'pyramid',
            'thirds',
            'bursts',
            'one-side',
            'other-stance',
            'alternate',
            'themes',
            'setup-free',
            'return-fire',
            'calls',
            'balance',
            'conditioning',
            'exercise',
            'demonstration',
            'talk',
        ];
        foreach ($drills as $drill) {
            self::assertArrayHasKey($drill, DrillRegistry::all());
        }
    }

    /** @param array<string, mixed> $plan */
    private static function load(array $plan, Stance $stance): Load
    {
        return LoadCounter::load(Plans::programme($plan), null, $stance);
    }
}
