<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** How far a move takes the feet, in steps. */
final readonly class FootStep
{
    /**
     * @param float $lead to the side of the lead hand
     * @param float $turn in degrees, to the side of the lead hand
     */
    public function __construct(public float $ahead, public float $lead, public float $turn = 0.0)
    {
    }
}
