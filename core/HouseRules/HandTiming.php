<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** Whether hand and kick land apart or together. */
enum HandTiming: string implements School
{
    case Any = 'any';
    case Apart = 'apart';
    case Together = 'together';

    public static function question(): string
    {
        return t('Hand and kick land');
    }

    public function answer(): string
    {
        return match ($this) {
            self::Any => t('either way'),
            self::Apart => 'apart',
            self::Together => 'together',
        };
    }
}
