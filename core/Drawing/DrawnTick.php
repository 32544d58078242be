<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** A time that is written below a drawing. */
final readonly class DrawnTick
{
    public function __construct(public int $ms, public string $text, public int $y)
    {
    }
}
