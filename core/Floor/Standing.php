<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/** Where somebody stands and in which direction. */
final readonly class Standing
{
    /**
     * @param Point $middle of the stance
     * @param float $heading in degrees clockwise from up the picture
     * @param bool $crossed whether the feet are crossed
     * @param float $rearAhead how far further ahead than in stance the rear foot is, m
     */
    public function __construct(
        public Point $middle,
        public float $heading,
        public Stance $stance,
        public bool $crossed = false,
        public float $rearAhead = 0.0,
    ) {
    }

    public function at(Point $middle, ?float $heading = null): self
    {
        return new self($middle, $heading ?? $this->heading, $this->stance, $this->crossed, $this->rearAhead);
    }

    /** Returns the feet in stance on the same spot, in that stance. */
    public function inStance(Stance $stance): self
    {
        return new self($this->middle, $this->heading, $stance);
    }

    /** Returns -1 for what is on the left, 1 for what is on the right. */
    public function sign(Role $role): float
    {
        return Side::Left === $this->stance->sideOf($role) ? -1.0 : 1.0;
    }

    /** Returns the middle of a foot on the floor. */
    public function foot(Role $role, Build $build): Point
    {
        return $this->middle->moved(
            $this->heading,
            Role::Lead === $role ? $build->halfStance : $this->rearAhead - $build->halfStance,
            $this->sign($role) * $build->halfWidth * ($this->crossed ? -1.0 : 1.0),
        );
    }

    /** Returns the direction in which a foot points: both are turned to the rear side. */
    public function footHeading(Role $role): float
    {
        $data = FloorData::builtIn();

        return $this->heading
            + $this->sign(Role::Rear) * $data->value(Role::Lead === $role ? 'frontFootIn' : 'backFootOut');
    }

    /** Returns the direction of the hips for a turn of -1 to 1. */
    public function hips(float $turn): float
    {
        return $this->turned($turn, 'hipsAtRest', 'hipsTurn');
    }

    public function shoulders(float $turn): float
    {
        return $this->turned($turn, 'shouldersAtRest', 'shouldersTurn');
    }

    private function turned(float $turn, string $atRest, string $fully): float
    {
        $data = FloorData::builtIn();

        return $this->heading + $this->sign(Role::Rear) * ($data->value($atRest) - $turn * $data->value($fully));
    }
}
