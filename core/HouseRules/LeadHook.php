<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Where a lead hook leaves the weight. */
enum LeadHook: string implements School
{
    case BackFoot = 'back-foot';
    case FrontFoot = 'front-foot';

    public static function question(): string
    {
        return 'A lead hook leaves the weight';
    }

    public function answer(): string
    {
        return match ($this) {
            self::BackFoot => 'on the back foot',
            self::FrontFoot => 'over the front foot',
        };
    }
}
