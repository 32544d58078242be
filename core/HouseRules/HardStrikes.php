<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** Which strikes are thrown hard: only the last one, or all of them. */
enum HardStrikes: string implements School
{
    case Last = 'last';
    case Every = 'every';

    public static function question(): string
    {
        return t('Which strikes are hard');
    }

    public function answer(): string
    {
        return match ($this) {
            self::Last => t('the last strike'),
            self::Every => t('every strike'),
        };
    }
}
