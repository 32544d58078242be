<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

/** Centre of mass and extrapolated centre of mass, m along the line to the opponent, positive forward. */
final readonly class Motion
{
    public function __construct(public float $x, public float $xi)
    {
    }
}
