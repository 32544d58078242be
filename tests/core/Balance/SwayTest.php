<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Balance;

use Eris\TestTrait;
use Periplus\Core\Balance\Athlete;
use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\WeightPath;
use Periplus\Core\Technique\Role;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SwayTest extends TestCase
{
    use TestTrait;

    public function testThePhasesOfAnyChainCoverItsTime(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $timing = self::timingOf($chain);
            $athlete = Athlete::named('middle');
            $phases = WeightPath::phases($timing, $athlete);
            self::assertEqualsWithDelta($timing->length() / 1000, array_sum(array_column($phases, 'seconds')), 1e-6);
            $last = 0;
            foreach ($phases as $phase) {
                self::assertGreaterThan(0.0, $phase->seconds);
                self::assertGreaterThanOrEqual($last, $phase->at);
                $last = $phase->at;
            }
        });
    }

    public function testTheHipsOfAnyChainStayNearTheFeet(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $athlete = Athlete::named('middle');
            $sway = Sway::over(WeightPath::phases(self::timingOf($chain), $athlete), $athlete);
            foreach ($sway->points as $point) {
                self::assertLessThan(1.2, abs($point->hips));
                self::assertLessThan($point->front, $point->back);
            }
            self::assertSame($sway->overcommitted(), $sway->least < 0.0);
            self::assertTrue(null === $sway->leastAt || isset($chain->items[$sway->leastAt]));
        });
    }

    /** Feet that step away twice are faster than the hips; the deficit is reported once and does not grow with time. */
    public function testHipsThatTheFeetHaveLeftDoNotRunAway(): void
    {
        $athlete = Athlete::named('middle');
        $sway = Sway::over(
            WeightPath::phases(
                self::timingOf(
                    Chains::read(
                        '31 15~ (38b) 15b~ 12~ / duck post 8b! (38!) step-across 34~ block-rear step-in 8b! '
                            .'check-rear exit exit 4 35!',
                    ),
                ),
                $athlete,
            ),
            $athlete,
        );

        foreach ($sway->points as $point) {
            self::assertLessThan(1.2, abs($point->hips));
        }
    }

    #[TestWith(['14', Role::Lead])]
    #[TestWith(['13', Role::Rear])]
    #[TestWith(['12', Role::Lead])]
    #[TestWith(['check-lead', Role::Rear])]
    public function testLiftingALegPutsTheWeightOverTheOther(string $text, Role $stands): void
    {
        $athlete = Athlete::named('middle');
        $phases = WeightPath::phases(self::timingOf(Chains::read($text)), $athlete);
        $single = array_values(array_filter($phases, static fn ($phase): bool => null !== $phase->standsOn));
        self::assertNotSame([], $single);
        self::assertSame($stands, $single[0]->standsOn);
        $points = Sway::over($phases, $athlete)->points;
        $impact = $points[(int) array_search($single[0], $phases, true)];
        Role::Lead === $stands ? self::assertGreaterThan(0.1, $impact->xi) : self::assertLessThan(-0.1, $impact->xi);
    }

    public function testFastChainsTakeTheHipsPastTheStandingFoot(): void
    {
        $athlete = Athlete::named('middle');
        $margin = static fn (string $text, float $tempo): float => Sway::over(
            WeightPath::phases(self::timingOf(Chains::read($text), $tempo), $athlete),
            $athlete,
        )->least;

        self::assertGreaterThan(0.05, $margin('1 12 exit', 1.0));
        self::assertLessThan($margin('1 12 exit', 1.0), $margin('1 12 exit', 0.6));
        self::assertLessThan(0.0, $margin('11 2', 0.5));
    }

    public function testTallerPeopleSwaySlower(): void
    {
        self::assertLessThan(Athlete::named('small')->pendulum->omega, Athlete::named('tall')->pendulum->omega);
        self::assertLessThan(Athlete::named('tall')->stance, Athlete::named('small')->stance);
    }

    public function testAStepMovesTheFeetAndTheHipsFollow(): void
    {
        $athlete = Athlete::named('middle');
        $points = Sway::over(WeightPath::phases(self::timingOf(Chains::read('step-in 1 2')), $athlete), $athlete)
            ->points;

        self::assertLessThan(-0.02, $points[1]->hips, 'The feet are there first.');
        self::assertGreaterThan($points[1]->hips, $points[3]->hips);
    }

    public function testImpossibleBodyHeightIsRefused(): void
    {
        $this->expectExceptionMessage('The body height is 1.20 to 2.20 m, not 3.00.');
        Athlete::of(3.0);
    }

    private static function timingOf(Chain $chain, float $tempo = 1.0): ChainTiming
    {
        return (new FlowModel())->timing($chain, BuiltInHouseRules::named('all-limbs'), $tempo);
    }
}
