<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Technique\Stance;

/**
 * Writes a chain in words, by role ("lead hook to the body") or by side ("left hook to the body"). The reader reads
 * both.
 */
final readonly class Words
{
    private function __construct(private bool $bySide)
    {
    }

    public static function byRole(): self
    {
        return new self(false);
    }

    public static function bySide(): self
    {
        return new self(true);
    }

    public function write(ChainInStance $inStance): string
    {
        return implode(', ', $this->items($inStance));
    }

    /** @return list<string> the words of each item */
    public function items(ChainInStance $inStance): array
    {
        return array_map($this->item(...), $inStance->chain->items, $inStance->stances);
    }

    public function itemOf(ChainInStance $inStance, int $index): string
    {
        return $this->item($inStance->chain->items[$index], $inStance->stances[$index]);
    }

    public function item(Item $item, Stance $running): string
    {
        return $item->accept(new ItemWords($this->bySide, $running));
    }
}
