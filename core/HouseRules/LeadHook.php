<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** Where a lead hook leaves the weight. */
enum LeadHook: string implements School
{
    case BackFoot = 'back-foot';
    case FrontFoot = 'front-foot';

    public static function question(): string
    {
        return t('A lead hook leaves the weight');
    }

    public function answer(): string
    {
        return match ($this) {
            self::BackFoot => t('on the back foot'),
            self::FrontFoot => t('over the front foot'),
        };
    }
}
