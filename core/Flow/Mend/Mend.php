<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Timing\Verdict;

/** A chain made better by one or two small edits. */
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
     * The better one first: its verdict; the waits that can be seen; the fewer edits; those nearer to what they mend;
     * what puts something in before what exchanges, and that before what leaves out; the lighter findings; the wider
     * swing of the hips from strike to strike, which is what drives a strike; the end further out; the shorter chain.
     * The
     * spelling settles the rest, so that the order is always the same.
     *
     * @param float $seenFrom waits up to that many ms cannot be seen
     * @param list<int> $places of the items in the chain as it was that something is to be done about
     *
     * @return list<int|float|string>
     */
    public function rank(float $seenFrom, array $places): array
    {
        $kinds = $apart = 0;
        foreach ($this->edits as $edit) {
            $kinds += match ($edit->kind) {
                EditKind::Insert => 0,
                EditKind::Exchange => 1,
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
