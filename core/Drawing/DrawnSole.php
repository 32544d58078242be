<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Technique\Role;

/** A foot of a pair, placed from the middle of the pair. */
final readonly class DrawnSole
{
    /** @param float $angle in degrees */
    public function __construct(
        public float $x,
        public float $y,
        public float $angle,
        public bool $isLeft,
        public Role $role,
    ) {
    }
}
