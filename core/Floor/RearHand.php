<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

use Periplus\Core\Technique\Role;

/** What the rear hand of an opponent reaches without a turn of the feet: a sector in front of its shoulder. */
final readonly class RearHand
{
    private Point $shoulder;
    /** Its edges in degrees clockwise from up the picture, the left one of the opponent first. */
    private float $from;
    private float $to;
    private float $reach;

    public function __construct(Standing $them, Build $build)
    {
        $data = FloorData::builtIn();
        $sign = $them->sign(Role::Rear);
        $this->shoulder = $them->middle->moved($them->shoulders(0.0), 0.0, $sign * $build->halfShoulders);
        $edges = [
            $them->heading - $sign * $data->value('rearHandAcross'),
            $them->heading + $sign * $data->value('rearHandOut'),
        ];
        [$this->from, $this->to] = [min($edges), max($edges)];
        $this->reach = $data->value('rearHandReach');
    }

    /** Tells whether it reaches that point. */
    public function reaches(Point $point): bool
    {
        $off = fmod($this->shoulder->directionTo($point) - $this->from + 720.0, 360.0);

        return $off <= $this->to - $this->from && $this->shoulder->distanceTo($point) <= $this->reach;
    }

    /** Returns the sector as an SVG path in cm. */
    public function path(): string
    {
        $one = $this->shoulder->moved($this->from, $this->reach);
        $other = $this->shoulder->moved($this->to, $this->reach);

        return \sprintf(
            'M%1$s %2$sL%3$sA%4$s %4$s 0 0 1 %5$s %6$sZ',
            round(100 * $this->shoulder->x, 1),
            round(100 * $this->shoulder->y, 1),
            round(100 * $one->x, 1).' '.round(100 * $one->y, 1),
            round(100 * $this->reach, 1),
            round(100 * $other->x, 1),
            round(100 * $other->y, 1),
        );
    }
}
