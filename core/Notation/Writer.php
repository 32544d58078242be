<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Stance;

/** Writes a chain in the numbers of a numbering. The reader reads it back as the same chain. */
final readonly class Writer
{
    public function __construct(private Numbering $numbering)
    {
    }

    public function write(ChainInStance $inStance): string
    {
        $text = '';
        $wordsBefore = false;
        foreach ($inStance->chain->items as $index => $item) {
            $number = $this->item($item, $inStance->stances[$index]);
            $inWords = $item instanceof StrikeItem && null === $this->number($item, $inStance->stances[$index]);
            // A comma separates a strike in words from its neighbours.
            $text .= (0 === $index ? '' : ($inWords || $wordsBefore ? ', ' : ' ')).$number;
            $wordsBefore = $inWords;
        }

        return $text;
    }

    /** Writes one item of a line; a strike without a number is written in words, by role. */
    public function item(Item $item, Stance $running): string
    {
        return $item->accept(new ItemNumbers($this, $running));
    }

    /** Returns the number with its target, such as "3b"; null when the numbering has none. */
    public function number(StrikeItem $item, Stance $running): ?string
    {
        $entry = $this->numbering->numberOf($item->strike->family, $item->strike->role, $item->target, $running);
        if (null === $entry) {
            return null;
        }
        $meant = $entry->target ?? $item->strike->defaultTarget();

        return $entry->code.($item->target === $meant ? '' : $item->target->value);
    }

    /** Returns the number without its target; null when the numbering has none. */
    public function code(StrikeItem $item, Stance $running): ?string
    {
        return $this->numbering->numberOf($item->strike->family, $item->strike->role, $item->target, $running)?->code;
    }
}
