<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Ledger;
use Periplus\Core\Flow\Verdict;

/** A chain made better by one or two small edits. */
final readonly class Mend
{
    /**
     * @param list<Edit> $edits in the order of their places in the chain as it was
     * @param Verdict $verdict of the mended chain
     */
    public function __construct(public array $edits, public Chain $chain, public Ledger $ledger, public Verdict $verdict)
    {
    }

    /**
     * The better one first: its verdict; the waits that can be seen; the fewer edits; what puts something in before what
     * exchanges, and that before what leaves out; the wider swing of the hips from strike to strike, which is what
     * drives a strike; the end further out; the shorter chain. The spelling settles the rest, so that the order is always the same.
     *
     * @return list<int|float|string>
     */
    public function rank(float $seenFrom): array
    {
        $kinds = array_map(static fn (Edit $edit): int => match ($edit->kind) {
            EditKind::Insert => 0,
            EditKind::Exchange => 1,
            EditKind::Drop => 2,
        }, $this->edits);

        return [
            $this->verdict->rank(),
            round($this->ledger->seenWaiting($seenFrom), 3),
            \count($this->edits),
            array_sum($kinds),
            -round($this->ledger->swing(), 3),
            -$this->ledger->moments[\count($this->ledger->moments) - 1]->range,
            round($this->ledger->length(), 3),
            $this->spelling(),
        ];
    }

    public function spelling(): string
    {
        return implode(' ', array_map(static fn (Item $item): string => $item->key(true), $this->chain->items));
    }
}
