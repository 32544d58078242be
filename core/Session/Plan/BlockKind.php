<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use function Periplus\Core\Language\t;

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
            self::Rounds => t('Rounds'),
            self::Conditioning => t('Conditioning'),
            self::CoolDown => 'Cool-down',
            self::Talk => t('Talk'),
        };
    }
}
