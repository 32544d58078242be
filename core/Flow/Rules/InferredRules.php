<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\StrikeItem;

/**
 * Chooses the house rules when none are given: the narrowest set that allows every limb of the chain. Hands alone are
 * boxing, hands with kicks kickboxing, everything else all limbs.
 */
final readonly class InferredRules
{
    private const WIDEST = 'all-limbs';

    /** @param Chain|null $chain null when it could not be read */
    public static function infer(?Chain $chain): string
    {
        if (null === $chain) {
            return self::WIDEST;
        }
        $strikes = array_merge(...array_map($chain->strikesAt(...), array_keys($chain->items)));
        $limbs = array_unique(
            array_map(static fn (StrikeItem $item): string => $item->strike->limb->value, $strikes),
        );
        if ([] === $limbs) {
            return self::WIDEST;
        }
        foreach (BuiltInHouseRules::all() as $rules) {
            if ([] === array_diff($limbs, array_column($rules->allows, 'value'))) {
                return $rules->id;
            }
        }

        return self::WIDEST;
    }
}
