<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** A text on a tile, placed from its centre. */
final readonly class DrawnText
{
    public function __construct(public string $text, public float $x, public float $y, public float $size)
    {
    }
}
