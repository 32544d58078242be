<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Role;

/** The last strike of a chain, with its role in the current stance: after a switch that hand has the other role. */
final readonly class LastStrike
{
    private function __construct(public StrikeItem $item, public Role $role)
    {
    }

    /** @param list<Item> $items */
    public static function in(array $items): ?self
    {
        $changes = 0;
        for ($index = \count($items) - 1; $index >= 0; --$index) {
            $item = $items[$index];
            $changes += $item->changesStance() ? 1 : 0;
            if ($item instanceof StrikeItem) {
                return new self($item, 0 === $changes % 2 ? $item->strike->role : $item->strike->role->other());
            }
        }

        return null;
    }
}
