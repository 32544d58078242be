<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\ChainTiming;

/**
 * The times at which the strikes of a chain land according to the check; taps and sounds are compared with them.
 * Strikes that land together count as one.
 */
final readonly class Contacts
{
    /**
     * @param list<list<int>> $items places in the chain of what lands at each moment
     * @param list<float> $ms of each moment
     */
    private function __construct(public array $items, public array $ms)
    {
    }

    public static function of(ChainTiming $timing): self
    {
        $items = $ms = [];
        foreach ($timing->chain->items as $index => $item) {
            $impact = $timing->moments[$index]->impact;
            if (!$item instanceof StrikeItem || !$item->delivered() || null === $impact) {
                continue;
            }
            if ($timing->chain->joinsStrike($index) && [] !== $items) {
                $items[\count($items) - 1][] = $index;
                continue;
            }
            $items[] = [$index];
            $ms[] = $impact;
        }

        return new self($items, $ms);
    }
}
