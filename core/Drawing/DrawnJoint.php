<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** A line between two strikes that land together. */
final readonly class DrawnJoint
{
    public function __construct(public int $ms, public float $from, public float $to)
    {
    }
}
