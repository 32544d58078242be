<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Limb;

/**
 * Under which house rules a chain is checked when nobody has said so: hands alone are boxing, anything else is all
 * limbs.
 */
final readonly class InferredRules
{
    private const HANDS = 'boxing';
    private const ELSE = 'all-limbs';

    /** @param Chain|null $chain null when it could not be read */
    public static function of(?Chain $chain): string
    {
        $strikes = null === $chain ? [] : $chain->strikes();
        $others = array_filter($strikes, static fn (StrikeItem $item): bool => Limb::Hand !== $item->strike->limb);

        return [] === $strikes || [] !== $others ? self::ELSE : self::HANDS;
    }
}
