<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Floor\Point;
use Periplus\Core\Technique\Role;

/** A part of an athlete on the floor: its middle in cm, its direction in degrees clockwise from up the picture. */
final readonly class DrawnPart
{
    public float $x;
    public float $y;
    public float $turn;

    /**
     * @param 'foot'|'hips'|'shoulders'|'head'|'hand' $part
     * @param Role|null $role of a foot or a hand
     * @param bool $isLeft whether it belongs to the left side
     */
    public function __construct(
        public string $part,
        Point $at,
        float $turn = 0.0,
        public ?Role $role = null,
        public bool $isLeft = false,
    ) {
        $this->x = round(100 * $at->x, 1);
        $this->y = round(100 * $at->y, 1);
        $this->turn = round($turn, 1);
    }
}
