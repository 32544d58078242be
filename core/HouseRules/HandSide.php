<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** The side of the hand before a kick: that of the kicking leg, or the other. */
enum HandSide: string implements School
{
    case Any = 'any';
    case Same = 'same';
    case Opposite = 'opposite';

    public static function question(): string
    {
        return t('The hand before a kick is of');
    }

    public function answer(): string
    {
        return match ($this) {
            self::Any => t('either side'),
            self::Same => t('the same side'),
            self::Opposite => t('the opposite side'),
        };
    }
}
