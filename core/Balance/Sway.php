<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

use Periplus\Core\Technique\Role;

/**
 * The position of the hips over the feet along a chain. In each phase one constant pressure moves the extrapolated
 * centre of mass towards its destination, as far as the edges of the feet that are down allow. What is missing at the
 * end of a phase is left to the next one. Positions are along the line to the opponent, in m from the middle of the
 * stance, positive forward.
 */
final readonly class Sway
{
    /**
     * @param list<SwayPoint> $points one at the start and one at the end of each phase
     * @param float $least smallest margin of stability, m; negative when the athlete is past the feet
     * @param int|null $leastAt place of the item at which it occurs; null without any phase
     * @param float $leastSeconds when
     * @param float $stance from the middle of one foot to the middle of the other, m
     */
    private function __construct(
        public array $points,
        public float $least,
        public ?int $leastAt,
        public float $leastSeconds,
        public float $stance,
    ) {
    }

    /** @param list<Phase> $phases */
    public static function over(array $phases, Athlete $athlete): self
    {
        $pendulum = $athlete->pendulum;
        $half = $athlete->stance / 2;
        [$frontFoot, $backFoot, $standingFoot] = [$athlete->frontFoot, $athlete->backFoot, $athlete->standingFoot];
        // Position and extrapolated position of the centre of mass, as plain numbers: one object a phase would double
        // the time.
        $x = $xi = $reach = $time = 0.0;
        [$least, $leastAt, $leastSeconds] = [\INF, null, 0.0];
        $points = [];
        foreach ($phases as $phase) {
            $step = $phase->step;
            if (null === $phase->standsOn) {
                // While the stance moves, both its old and its new position take weight.
                $back = $backEdge = ($step < 0.0 ? $step : 0.0) - $half - $backFoot;
                $front = $frontEdge = ($step > 0.0 ? $step : 0.0) + $half + $frontFoot;
            } else {
                $foot = $phase->underBody ? 0.0 : (Role::Lead === $phase->standsOn ? $half : -$half);
                $back = $backEdge = $foot - $standingFoot;
                $front = $frontEdge = $foot + $standingFoot;
                if ($phase->comesDown) {
                    $backEdge = min($back, $step - $half - $backFoot);
                    $frontEdge = max($front, $step + $half + $frontFoot);
                }
            }
            // The middle of the stance at the start of the phase; the stance itself may then move by the step.
            $meant =
                null === $phase->standsOn || $phase->comesDown
                    ? $step + ($phase->load - 0.5) * $athlete->stance
                    : ($back + $front) / 2;
            // An athlete who enters the phase past its edges, because the feet moved faster than the hips, also catches
            // a foot.
            $before = $frontEdge - $xi < $xi - $backEdge ? $frontEdge - $xi : $xi - $backEdge;
            $xi = $xi < $backEdge ? $backEdge : ($xi > $frontEdge ? $frontEdge : $xi);
            $growth = $pendulum->growth($phase->seconds);
            $pressure = $pendulum->pressureFor($xi, $meant, $growth);
            $pressure = $pressure < $back ? $back : ($pressure > $front ? $front : $pressure);
            if ([] === $points) {
                $points[] = new SwayPoint(0.0, $x - $reach, $xi, $backEdge, $frontEdge);
            }
            $x = Pendulum::placeAfter($x, $xi, $pressure, $growth);
            $xi = $pressure + ($xi - $pressure) * $growth;
            if (!$phase->holding) {
                $margin = min($before, $frontEdge - $xi, $xi - $backEdge);
                if ($margin < $least) {
                    [$least, $leastAt, $leastSeconds] = [
                        $margin,
                        $phase->at,
                        $margin === $before ? $time : $time + $phase->seconds,
                    ];
                }
            }
            $time += $phase->seconds;
            $reach = $phase->reach;
            // From here positions are relative to the middle of the new stance. An athlete past its edge catches a foot
            // there, since the rest of the chain is judged for somebody who is standing.
            $x -= $step;
            $points[] = new SwayPoint($time, $x - $reach, $xi - $step, $backEdge - $step, $frontEdge - $step);
            $xi = ($xi < $backEdge ? $backEdge : ($xi > $frontEdge ? $frontEdge : $xi)) - $step;
        }

        return new self($points, null === $leastAt ? 0.0 : $least, $leastAt, $leastSeconds, $athlete->stance);
    }

    public function overcommitted(): bool
    {
        return null !== $this->leastAt && $this->least < 0.0;
    }
}
