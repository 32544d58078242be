<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** How hard a strike is meant to be thrown. */
enum Effort: string
{
    case Light = '~';
    case Plain = '';
    case Hard = '!';

    /** Rank for comparing two strikes: light below plain below hard. */
    public function rank(): int
    {
        return match ($this) {
            self::Light => 0,
            self::Plain => 1,
            self::Hard => 2,
        };
    }
}
