<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Limb;

/** Chooses the house rules when none are given: boxing for hands alone, otherwise all limbs. */
final readonly class InferredRules
{
    private const HANDS = 'boxing';
    private const ELSE = 'all-limbs';

    /** @param Chain|null $chain null when it could not be read */
    public static function infer(?Chain $chain): string
    {
        $strikes = null === $chain ? [] : $chain->strikes();
        $others = array_filter($strikes, static fn (StrikeItem $item): bool => Limb::Hand !== $item->strike->limb);

        return [] === $strikes || [] !== $others ? self::ELSE : self::HANDS;
    }
}
