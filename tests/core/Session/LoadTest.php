<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Serializer\SessionSerializer;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warnings\WarningRegistry;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LoadTest extends TestCase
{
    public function testMirroredAthletesHaveMirroredSidesAndTheSameRest(): void
    {
        [$orthodox, $southpaw] = self::loads(
            Plans::of([
                [
                    'seconds' => 180,
                    'times' => 3,
                    'sets' => [['combinations' => ['1 2 3b']], ['combinations' => ['1 2 14l']]],
                ],
            ]),
        );

        self::assertEqualsWithDelta($orthodox->bySide['left'], $southpaw->bySide['right'], 1e-6);
        self::assertEqualsWithDelta($orthodox->bySide['right'], $southpaw->bySide['left'], 1e-6);
        self::assertSame($orthodox->byTarget, $southpaw->byTarget);
        self::assertSame($orthodox->byLimb, $southpaw->byLimb);
    }

    public function testTheOtherStanceTurnsTheSidesRound(): void
    {
        $round = ['seconds' => 120, 'sets' => [['combinations' => ['1 1 2']]]];
        [$own] = self::loads(Plans::of([$round]));
        [$other] = self::loads(Plans::of([[...$round, 'stance' => 'other']]));

        self::assertEqualsWithDelta($own->bySide['left'], $other->bySide['right'], 1e-6);
        self::assertSame(['orthodox' => 0.0, 'southpaw' => 120_000.0], array_map(round(...), $other->stanceMs));
    }

    public function testASwitchInTheChainCountsTheSidesAsTheyAreThrown(): void
    {
        [$orthodox] = self::loads(Plans::set('repeat', ['1 switch 1']));

        self::assertEqualsWithDelta($orthodox->bySide['left'], $orthodox->bySide['right'], 1e-6);
        self::assertGreaterThan(0.0, $orthodox->stanceMs['southpaw']);
    }

    public function testFeintsAreNotCountedAndFreeStrikesHaveNoSide(): void
    {
        [$orthodox] = self::loads(Plans::set('repeat', ['(1) 2 *3b']));

        self::assertEqualsWithDelta($orthodox->repetitions, $orthodox->bySide['right'], 1e-6);
        self::assertSame(0.0, $orthodox->bySide['left']);
        self::assertEqualsWithDelta(3 * $orthodox->repetitions, $orthodox->free, 1e-6);
        self::assertEqualsWithDelta(3 * $orthodox->repetitions, $orthodox->byTarget['body'], 1e-6);
    }

    public function testEveryCountAddsUp(): void
    {
        [$orthodox] = self::loads(
            Plans::of([
                [
                    'seconds' => 240,
                    'sets' => [
                        ['combinations' => ['1 2 3b 14l']],
                        ['combinations' => ['5 6 22']],
                        ['drill' => 'one-side', 'parameters' => ['weapons' => ['hand', 'leg']]],
                        ['drill' => 'pyramid'],
                    ],
                ],
            ]),
        );

        self::assertEqualsWithDelta($orthodox->strikes, array_sum($orthodox->bySide) + $orthodox->free, 1e-6);
        self::assertEqualsWithDelta(array_sum($orthodox->bySide), array_sum($orthodox->byLimbOfSide), 1e-6);
        self::assertEqualsWithDelta($orthodox->strikes, array_sum($orthodox->byLimb), 1e-6);
    }

    public function testLowerLevelsThrowFewerBecauseTheGapIsLonger(): void
    {
        $strikes = static fn (int $level): float => self::loads(
            Plans::set('repeat', ['1 2 3'], with: ['level' => $level]),
        )[0]->strikes;

        self::assertLessThan($strikes(2), $strikes(1));
        self::assertLessThan($strikes(3), $strikes(2));
    }

    public function testTalkAndDemonstrationAreNoWork(): void
    {
        $plan = Plans::of([
            [
                'seconds' => 120,
                'sets' => [['drill' => 'talk'], ['drill' => 'demonstration', 'combinations' => ['1 2']]],
            ],
        ]);
        [$orthodox] = self::loads($plan);

        self::assertSame(0, $orthodox->workMs);
        self::assertSame(120_000, $orthodox->restMs);
        self::assertSame(0.0, $orthodox->strikes);
    }

    /**
     * @param array<string, mixed> $set
     * @param array<string, mixed> $with
     *
     * @return array<string, mixed>
     */
    private static function rounds(array $set, int $times = 6, array $with = []): array
    {
        return ['seconds' => 180, 'rest' => 60, 'times' => $times, 'sets' => [$set], ...$with];
    }

    /** @return iterable<string, array{string, array<string, mixed>}> a plan in which the warning holds */
    public static function heavy(): iterable
    {
        yield 'one-sided-session' => ['one-sided-session', Plans::of([self::rounds(['combinations' => ['1 3b 3']])])];
        yield 'shin-load' => ['shin-load', Plans::of([self::rounds(['combinations' => ['14b']])], ['medium' => 'bag'])];
        yield 'uppercuts-on-bag' => [
            'uppercuts-on-bag',
            Plans::of([self::rounds(['combinations' => ['5 6']])], ['medium' => 'bag']),
        ];
        yield 'partner-head' => [
            'partner-head',
            Plans::of([self::rounds(['combinations' => ['1 2 3']])], ['medium' => 'partner']),
        ];
        yield 'little-rest' => [
            'little-rest',
            Plans::of([self::rounds(['combinations' => ['1 2']], 6, ['rest' => 5])]),
        ];
        yield 'no-warm-up' => ['no-warm-up', Plans::of([self::rounds(['combinations' => ['1 2']])])];
        yield 'no-cool-down' => ['no-cool-down', Plans::of([self::rounds(['combinations' => ['1 2']])])];
    }

    /** A jab weighs half where that makes the sides more even: straights never warn, hooks of one side do. */
    #[TestWith(['1 2', false])]
    #[TestWith(['1 1 2', false])]
    #[TestWith(['1 1 1 2', false])]
    #[TestWith(['1 3b 3', true])]
    #[TestWith(['2 4', true])]
    public function testStraightsAreNotOneSided(string $chain, bool $warns): void
    {
        self::assertSame(
            $warns,
            isset(self::warnings(Plans::of([self::rounds(['combinations' => [$chain]])]))['one-sided-session']),
        );
    }

    /** By hand: of five times the second and the fourth begin in the other stance. */
    public function testAChainThatEndsInTheOtherStanceGoesOnFromThere(): void
    {
        $load = new Load(0, 0);
        LoadCounter::chain($load, Chains::inStance('switch 1'), 5, 5000, Medium::Bag);

        self::assertEqualsWithDelta(['left' => 2.0, 'right' => 3.0], $load->bySide, 1e-9);
        self::assertEqualsWithDelta(5.0, $load->repetitions, 1e-9);
        self::assertEqualsWithDelta(2500.0, $load->stanceMs['orthodox'], 1e-6);
        $once = new Load(0, 0);
        LoadCounter::chain($once, Chains::inStance('switch 1'), 1, 1000, Medium::Bag);
        self::assertEqualsWithDelta(['left' => 0.0, 'right' => 1.0], $once->bySide, 1e-9);
        $half = new Load(0, 0);
        LoadCounter::chain($half, Chains::inStance('switch 1'), 5, 5000, Medium::Bag, 0.5);
        self::assertEqualsWithDelta(['left' => 1.0, 'right' => 1.5], $half->bySide, 1e-9);
    }

    /** @param array<string, mixed> $plan */
    #[DataProvider('heavy')]
    public function testAWarningIsRaisedAndItsFixMakesLessOfIt(string $id, array $plan): void
    {
        $before = self::warnings($plan);
        self::assertArrayHasKey($id, $before);
        $fixed = (new SessionSerializer(new PlanReader()))->fixed($plan, $id);
        self::assertIsArray($fixed);
        self::assertNotSame($plan, $fixed);
        // Applied as often as it is offered, the fix removes or reduces the warning.
        for ($press = 0; $press < 12 && isset(self::warnings($fixed)[$id]); ++$press) {
            $fixed = (new SessionSerializer(new PlanReader()))->fixed($fixed, $id) ?? [];
        }

        self::assertArrayNotHasKey($id, self::warnings($fixed));
        self::assertSame(
            [],
            array_filter((new PlanReader())->read($fixed)->problems, static fn ($problem): bool => $problem->stops),
        );
    }

    #[DataProvider('heavy')]
    public function testEveryWarningHasAReasonAFixAndAThresholdWithinItsBounds(string $id): void
    {
        $warning = WarningRegistry::all()[$id] ?? null;
        self::assertInstanceOf(Warning::class, $warning);
        $definition = $warning->definition();

        self::assertGreaterThan(30, \strlen($definition->reason));
        self::assertNotSame('', $definition->fix);
        self::assertGreaterThanOrEqual($definition->threshold->least, $definition->threshold->default);
        self::assertLessThanOrEqual($definition->threshold->most, $definition->threshold->default);
    }

    public function testEveryWarningIsTried(): void
    {
        self::assertSame(array_keys(WarningRegistry::all()), array_keys(iterator_to_array(self::heavy())));
    }

    public function testHalvingTheUppercutsHalvesThem(): void
    {
        $plan = Plans::of(
            [['seconds' => 180, 'times' => 6, 'rest' => 60, 'sets' => [['combinations' => ['5 6']]]]],
            ['medium' => 'bag'],
        );
        [$before] = self::loads($plan);
        [$after] = self::loads((new SessionSerializer(new PlanReader()))->fixed($plan, 'uppercuts-on-bag') ?? []);

        self::assertEqualsWithDelta($before->uppercutsOnBag / 2, $after->uppercutsOnBag, 1e-6);
        self::assertEqualsWithDelta($before->strikes, $after->strikes, 1e-6);
    }

    public function testNamesOfCombinationsAreFoundInEveryTrack(): void
    {
        $plan = new WrittenPlan(
            Plans::of([
                [
                    'sets' => [['combinations' => [['chain' => '1', 'id' => 4]]]],
                    'tracks' => [['sets' => [['combinations' => [['chain' => '2', 'id' => 5]]]]]],
                ],
            ]),
        );

        self::assertSame([4, 5], array_column($plan->combinations(), 'id'));
    }

    /**
     * @param array<array-key, mixed> $plan
     *
     * @return array{Load, Load} orthodox and southpaw
     */
    private static function loads(array $plan): array
    {
        $programme = Plans::programme($plan);

        return [
            LoadCounter::load($programme, null, Stance::Orthodox),
            LoadCounter::load($programme, null, Stance::Southpaw),
        ];
    }

    /**
     * @param array<array-key, mixed> $plan
     *
     * @return array<string, string> sentences by id
     */
    private static function warnings(array $plan): array
    {
        $document = (new SessionSerializer(new PlanReader()))->serialize($plan);

        return array_column($document->warnings, 'message', 'id');
    }
}
