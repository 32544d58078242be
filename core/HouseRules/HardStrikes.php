<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Which strikes are thrown hard: only the last one, or all of them. */
enum HardStrikes: string implements School
{
    case Last = 'last';
    case Every = 'every';

    public static function question(): string
    {
        return 'Which strikes are hard';
    }

    public function answer(): string
    {
        return match ($this) {
            self::Last => 'the last strike',
            self::Every => 'every strike',
        };
    }
}
