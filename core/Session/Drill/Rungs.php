<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\StrikeItem;

/** Cuts a chain after each strike, thrown or feinted: the first, the first two, and so on up to the whole chain. */
final class Rungs
{
    /**
     * @return non-empty-list<Chain> what comes before a strike, and what lands with it, belongs to its rung; what comes
     *                               after the last one to the whole
     */
    public static function cut(Chain $chain): array
    {
        $items = $chain->items;
        $rungs = [];
        foreach ($items as $index => $item) {
            $next = $items[$index + 1] ?? null;
            $ends = $item instanceof FreeStrikes
                || ($item instanceof StrikeItem && ($item->delivered() || $item->feint));
            if ($ends && !($next instanceof StrikeItem && $next->belongsToBefore())) {
                $rungs[] = Chain::of(\array_slice($items, 0, $index + 1));
            }
        }
        array_pop($rungs);

        return [...$rungs, $chain];
    }
}
