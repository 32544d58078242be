<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** The purpose of a part of a session. */
enum BlockKind: string
{
    case WarmUp = 'warm-up';
    case Rounds = 'rounds';
    case Conditioning = 'conditioning';
    case CoolDown = 'cool-down';
    case Talk = 'talk';

    public function title(): string
    {
        return match ($this) {
            self::WarmUp => 'Warm-up',
            self::Rounds => 'Rounds',
            self::Conditioning => 'Conditioning',
            self::CoolDown => 'Cool-down',
            self::Talk => 'Talk',
        };
    }
}
