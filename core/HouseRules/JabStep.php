<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** Whether a jab moves the athlete closer. */
enum JabStep: string implements School
{
    case In = 'in';
    case Place = 'place';

    public static function question(): string
    {
        return 'A jab';
    }

    public function answer(): string
    {
        return match ($this) {
            self::In => t('steps in'),
            self::Place => t('is thrown in place'),
        };
    }
}
