<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Flow\Usage\Usage;

/** A chain improved by one or two small edits. */
final readonly class Mend
{
    /**
     * @param list<Edit> $edits in the order of their places in the chain as it was
     * @param CheckResult $result what the check says of the mended chain
     */
    public function __construct(public array $edits, public Chain $chain, public CheckResult $result)
    {
    }

    public function verdict(): Verdict
    {
        return $this->result->verdict;
    }

    /**
     * Returns the keys to sort by, best first: verdict; visible waits; number of edits; distance to what they mend;
     * insertions, ties, landings and other steps before exchanges before omissions; severity of the findings; how
     * usual the chain is, in whole bits; swing of the hips between strikes, which is what drives a strike; edits nearer
     * to the end; length. The spelling breaks ties, so that the order is stable.
     *
     * @param float $seenFrom waits up to that many ms cannot be seen
     * @param list<int> $places of the items in the chain as it was that something is to be done about
     *
     * @return list<int|float|string>
     */
    public function rank(float $seenFrom, array $places, Usage $usage): array
    {
        $kinds = $apart = 0;
        foreach ($this->edits as $edit) {
            $kinds += match ($edit->kind) {
                EditKind::Insert => 0,
                // Another step is no other strike, nor is one that is only tied to the item before or lands otherwise.
                EditKind::Exchange => !$edit->item instanceof StrikeItem
                || $edit->item->belongsToBefore()
                || Landing::Back !== $edit->item->landing
                    ? 0
                    : 1,
                EditKind::Drop => 2,
            };
            $apart
                += [] === $places ? 0 : min(array_map(static fn (int $place): int => $edit->distance($place), $places));
        }
        $timing = $this->result->timing;

        return [
            $this->verdict()->rank(),
            round($timing->seenWaiting($seenFrom), 3),
            \count($this->edits),
            $apart,
            $kinds,
            array_sum($this->result->weights()),
            round($usage->surprise($this->chain)),
            -round($timing->swing(), 3),
            -$timing->moments[\count($timing->moments) - 1]->range,
            round($timing->length(), 3),
            $this->spelling(),
        ];
    }

    public function spelling(): string
    {
        return implode(' ', array_map(static fn (Item $item): string => $item->key(true), $this->chain->items));
    }
}
