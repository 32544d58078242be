<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Balance\Athlete;
use Periplus\Core\Balance\Pendulum;
use Periplus\Core\Balance\Phase;
use Periplus\Core\Balance\SegmentTable;
use Periplus\Core\Balance\Sway;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * The balance compared with its sources: P. de Leva 1996 (masses of the segments), A. L. Hof et al. 2005 and Hof 2008
 * (extrapolated centre of mass), D. A. Winter, Biomechanics and Motor Control of Human Movement (height of the centre
 * of mass), and an independent integration of the equation of motion. Published numbers are from memory.
 */
final class BalanceTest extends TestCase
{
    use TestTrait;

    /** De Leva 1996, table 4: the masses add up to the whole body, in the women's sample to 99.99 % by rounding. */
    #[TestWith(['male', 1.0])]
    #[TestWith(['female', 0.9999])]
    public function testTheMassesAddUp(string $sample, float $total): void
    {
        self::assertEqualsWithDelta($total, SegmentTable::samples()[$sample]->total(), 1e-9);
    }

    /** One leg is about a sixth of the body, one arm about a twentieth (Winter, table 4.1: .161 and .050). */
    public function testArmsAndLegsHaveThePublishedShareOfTheMass(): void
    {
        $segments = SegmentTable::builtIn()->segments;

        self::assertEqualsWithDelta(
            0.161,
            $segments['thigh']->mass + $segments['shank']->mass + $segments['foot']->mass,
            0.05,
        );
        self::assertEqualsWithDelta(
            0.05,
            $segments['upper-arm']->mass + $segments['forearm']->mass + $segments['hand']->mass,
            0.005,
        );
    }

    /** Standing upright the centre of mass is at 53 to 57 % of the height (Winter; common to most texts). */
    public function testTheCentreOfMassIsWhereItIs(): void
    {
        foreach (SegmentTable::samples() as $table) {
            self::assertGreaterThan(0.53, $table->centreHeight());
            self::assertLessThan(0.575, $table->centreHeight());
        }
    }

    /** Hof 2005: xi = x + v / omega0, and xi runs away from a constant pressure as e^(omega0 t). */
    public function testExtrapolatedCentreOfMassFollowsHofsFormula(): void
    {
        $pendulum = Pendulum::ofHeight(0.9, 9.81);
        self::assertEqualsWithDelta(3.3015, $pendulum->omega, 1e-3);
        $this->forAll(
            Generators::choose(-300, 300),
            Generators::choose(-2000, 2000),
            Generators::choose(-300, 300),
            Generators::choose(1, 900),
        )->then(static function (int $x, int $v, int $p, int $t) use ($pendulum): void {
            $from = $pendulum->moving($x / 1000, $v / 1000);
            $after = $pendulum->after($from, $p / 1000, $pendulum->growth($t / 1000));
            self::assertEqualsWithDelta($x / 1000 + $v / 1000 / $pendulum->omega, $from->xi, 1e-12);
            self::assertEqualsWithDelta($v / 1000, $pendulum->velocity($from), 1e-12);
            self::assertEqualsWithDelta(
                $p / 1000 + ($from->xi - $p / 1000) * exp(($pendulum->omega * $t) / 1000),
                $after->xi,
                1e-9,
            );
        });
    }

    /** Hof 2005: for someone who stands still the margin is the distance to the edge of the feet. */
    public function testStandingStillTheMarginIsTheDistanceToTheEdge(): void
    {
        $athlete = Athlete::of(1.80, 0.5);
        $sway = Sway::over([new Phase(0, 1.0, 0.5)], $athlete);

        self::assertEqualsWithDelta(0.25 + $athlete->backFoot, $sway->least, 1e-12);
        self::assertFalse($sway->overcommitted());
    }

    /**
     * The closed form is compared with x'' = omega0^2 (x - p), integrated by Runge-Kutta of fourth order in steps of
     * 0.1 ms.
     */
    public function testTheClosedFormIsTheEquationOfMotion(): void
    {
        $pendulum = Pendulum::ofHeight(0.93, 9.81);
        foreach ([[0.02, 0.3, -0.1, 0.48], [-0.1, -0.5, 0.2, 0.25], [0.0, 0.0, 0.05, 0.9]] as [$x, $v, $p, $seconds]) {
            $exact = $pendulum->after($pendulum->moving($x, $v), $p, $pendulum->growth($seconds));
            [$integratedX, $integratedV] = self::integrate($pendulum->omega, $x, $v, $p, $seconds);
            self::assertEqualsWithDelta($integratedX, $exact->x, 1e-9);
            self::assertEqualsWithDelta($integratedV, $pendulum->velocity($exact), 1e-9);
        }
    }

    /** A whole sway with a kick is compared with the same integration of its pressures, which are read back from xi. */
    public function testASwayFollowsTheEquationOfMotion(): void
    {
        $athlete = Athlete::named('middle');
        $omega = $athlete->pendulum->omega;
        $phases = [new Phase(0, 0.2, 0.55), new Phase(1, 0.25, 0.68), new Phase(2, 0.2, 0.42), new Phase(2, 0.3, 0.55)];
        $points = Sway::over($phases, $athlete)->points;
        [$x, $v] = [0.0, 0.0];
        foreach ($phases as $index => $phase) {
            $growth = exp($omega * $phase->seconds);
            $p = ($points[$index + 1]->xi - $points[$index]->xi * $growth) / (1 - $growth);
            self::assertGreaterThanOrEqual($points[$index]->back - 1e-9, $p, 'No pressure outside the feet.');
            self::assertLessThanOrEqual($points[$index]->front + 1e-9, $p);
            [$x, $v] = self::integrate($omega, $x, $v, $p, $phase->seconds);
            self::assertEqualsWithDelta($x, $points[$index + 1]->hips, 1e-7);
            self::assertEqualsWithDelta($x + $v / $omega, $points[$index + 1]->xi, 1e-7);
        }
    }

    public function testHipsDoNotMoveWithoutDemand(): void
    {
        $sway = Sway::over(
            [new Phase(0, 0.3, 0.5), new Phase(1, 0.4, 0.5), new Phase(2, 2.0, 0.5)],
            Athlete::named('tall'),
        );
        foreach ($sway->points as $point) {
            self::assertSame(0.0, $point->hips);
            self::assertSame(0.0, $point->xi);
        }
    }

    /** @return array{float, float} place and velocity */
    private static function integrate(float $omega, float $x, float $v, float $p, float $seconds): array
    {
        $steps = (int) round($seconds / 0.0001);
        $h = $seconds / $steps;
        $pull = static fn (float $place): float => $omega ** 2 * ($place - $p);
        for ($step = 0; $step < $steps; ++$step) {
            [$x1, $v1] = [$v, $pull($x)];
            [$x2, $v2] = [$v + $h / 2 * $v1, $pull($x + $h / 2 * $x1)];
            [$x3, $v3] = [$v + $h / 2 * $v2, $pull($x + $h / 2 * $x2)];
            [$x4, $v4] = [$v + $h * $v3, $pull($x + $h * $x3)];
            $x += $h / 6 * ($x1 + 2 * $x2 + 2 * $x3 + $x4);
            $v += $h / 6 * ($v1 + 2 * $v2 + 2 * $v3 + $v4);
        }

        return [$x, $v];
    }
}
