<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

use function Periplus\Core\Language\t;

/** How a chain should end. */
enum Ending: string implements School
{
    case Move = 'move';
    case Kick = 'kick';
    case LeadHand = 'lead-hand';
    case Any = 'any';

    public static function question(): string
    {
        return t('A chain ends with');
    }

    public function answer(): string
    {
        return match ($this) {
            self::Move => t('a move that leaves'),
            self::Kick => 'a kick',
            self::LeadHand => t('a lead hand'),
            self::Any => 'anything',
        };
    }
}
