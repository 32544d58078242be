<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Technique\Stance;

/** The stance of a round: each athlete's own, or the other one. */
enum RoundStance: string
{
    case Own = 'own';
    case Other = 'other';

    public function resolve(Stance $athlete): Stance
    {
        return self::Own === $this ? $athlete : $athlete->other();
    }

    public function flipped(): self
    {
        return self::Own === $this ? self::Other : self::Own;
    }
}
