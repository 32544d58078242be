<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** The side of the hand before a kick: that of the kicking leg, or the other. */
enum HandSide: string implements School
{
    case Any = 'any';
    case Same = 'same';
    case Opposite = 'opposite';

    public static function question(): string
    {
        return 'The hand before a kick is of';
    }

    public function answer(): string
    {
        return match ($this) {
            self::Any => 'either side',
            self::Same => 'the same side',
            self::Opposite => 'the opposite side',
        };
    }
}
