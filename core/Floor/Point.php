<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

/** A point of the floor: x to the right and y down the picture, away from the opponent, in m. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    /**
     * Returns the point that somebody reaches from here.
     *
     * @param float $heading in degrees clockwise from up the picture
     */
    public function moved(float $heading, float $ahead, float $right = 0.0): self
    {
        [$sin, $cos] = [sin(deg2rad($heading)), cos(deg2rad($heading))];

        return new self($this->x + $ahead * $sin + $right * $cos, $this->y - $ahead * $cos + $right * $sin);
    }

    /** Returns the direction to another point, in degrees clockwise from up the picture, -180 to 180. */
    public function directionTo(self $other): float
    {
        return rad2deg(atan2($other->x - $this->x, $this->y - $other->y));
    }

    public function distanceTo(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }

    /** Returns the point at that share of the way to another one. */
    public function towards(self $other, float $share): self
    {
        return new self($this->x + $share * ($other->x - $this->x), $this->y + $share * ($other->y - $this->y));
    }
}
