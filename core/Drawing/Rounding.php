<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** The precision of a drawing. */
final readonly class Rounding
{
    public static function ms(float $ms): int
    {
        return (int) round($ms);
    }

    /** Rounds drawing units. */
    public static function units(float $units): float
    {
        // Without a minus before 0.
        return round($units, 2) + 0.0;
    }
}
