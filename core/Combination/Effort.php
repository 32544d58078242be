<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** How hard a strike is meant to be thrown. */
enum Effort: string
{
    case Light = '~';
    case Plain = '';
    case Hard = '!';

    public function word(): string
    {
        return match ($this) {
            self::Light => 'light',
            self::Plain => 'plain',
            self::Hard => 'hard',
        };
    }

    /** Returns a rank for comparing two strikes: light, plain, hard. */
    public function rank(): int
    {
        return match ($this) {
            self::Light => 0,
            self::Plain => 1,
            self::Hard => 2,
        };
    }
}
