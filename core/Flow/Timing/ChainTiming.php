<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\Chain;

/** The timing of a chain: a moment for each item and a link between neighbours. */
final readonly class ChainTiming
{
    /**
     * @param list<Moment> $moments one for each item
     * @param list<Link> $links one for each two neighbours
     * @param list<BodyState> $states the body as each item found it
     * @param BodyState $end the body after the last item
     */
    public function __construct(
        public Chain $chain,
        public array $moments,
        public array $links,
        public array $states,
        public BodyState $end,
    ) {
    }

    /** Returns the link that ends at that place of the chain; null for the first item. */
    public function linkTo(int $index): ?Link
    {
        foreach ($this->links as $link) {
            if ($link->to === $index) {
                return $link;
            }
        }

        return null;
    }

    /** Returns what the link waits for, in plain words. */
    public function reason(Link $link): string
    {
        $state = $this->states[$link->to]->foundBy($this->chain->items[$link->to]);

        return (new LinkReason($this->chain->items, $link, $state))->explain();
    }

    /**
     * Tells whether the hips pass the feet at a link that waits. Where both links of an item flow the weight arrives in
     * time, and a swing past the edge on the way is no fault.
     */
    public function runsPastTheFeet(Sway $sway): bool
    {
        foreach ($sway->overcommitted() ? $this->links : [] as $link) {
            if (
                ($link->to === $sway->leastAt || $link->from() === $sway->leastAt)
                && Verdict::Flows !== $link->verdict
            ) {
                return true;
            }
        }

        return false;
    }

    /** Returns the time from the start of the first item to the release of the last, in ms. */
    public function length(): float
    {
        $end = 0.0;
        foreach ($this->moments as $moment) {
            $end = max($end, $moment->end);
        }

        return $end;
    }

    /** Returns the sum of all waits, in ms. */
    public function waiting(): float
    {
        return array_sum(array_map(static fn (Link $link): float => $link->wait, $this->links));
    }

    /** Returns the sum of the visible part of the waits, that is, above the given ms each. */
    public function seenWaiting(float $from): float
    {
        return array_sum(array_map(static fn (Link $link): float => max(0.0, $link->wait - $from), $this->links));
    }

    /** Returns the mean turn of the hips between strikes, 0..2. */
    public function swing(): float
    {
        $swing = 0.0;
        $strikes = 0;
        foreach ($this->moments as $index => $moment) {
            if (null !== $moment->impact) {
                $swing += abs($moment->turn - $this->states[$index]->turn);
                ++$strikes;
            }
        }

        return 0 === $strikes ? 0.0 : $swing / $strikes;
    }

    public function verdict(): Verdict
    {
        $verdict = Verdict::Flows;
        foreach ($this->links as $link) {
            $verdict = $verdict->worse($link->verdict);
        }

        return $verdict;
    }
}
