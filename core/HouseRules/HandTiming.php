<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Whether hand and kick land apart or together. */
enum HandTiming: string implements School
{
    case Any = 'any';
    case Apart = 'apart';
    case Together = 'together';

    public static function question(): string
    {
        return 'Hand and kick land';
    }

    public function answer(): string
    {
        return match ($this) {
            self::Any => 'either way',
            self::Apart => 'apart',
            self::Together => 'together',
        };
    }
}
