<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\Chain;

/** the timing of a chain: a moment for each item, a link between each two. */
final readonly class ChainTiming
{
    /**
     * @param list<Moment> $moments one for each item
     * @param list<Link> $links one for each two neighbours
     * @param list<BodyState> $states the body as each item found it
     */
    public function __construct(public Chain $chain, public array $moments, public array $links, public array $states)
    {
    }

    /** What the link waits for, in plain words. */
    public function reason(Link $link): string
    {
        return LinkReason::of($this->chain->items, $link, $this->states[$link->to]);
    }

    /**
     * Whether the hips run past the feet beside a link that waits. Where both links of an item flow the weight is there
     * in time; that the hips swing past an edge on their way is then no fault.
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

    /** From the start of the first item to the release of the last, in ms. */
    public function length(): float
    {
        $end = 0.0;
        foreach ($this->moments as $moment) {
            $end = max($end, $moment->end);
        }

        return $end;
    }

    /** All waits together, in ms. */
    public function waiting(): float
    {
        return array_sum(array_map(static fn (Link $link): float => $link->wait, $this->links));
    }

    /** What of the waits goes beyond that many ms each and so can be seen, in ms. */
    public function seenWaiting(float $from): float
    {
        return array_sum(array_map(static fn (Link $link): float => max(0.0, $link->wait - $from), $this->links));
    }

    /** How far the hips turn from strike to strike, on the mean; 0..2. */
    public function swing(): float
    {
        $swing = 0.0;
        $strikes = 0;
        foreach ($this->moments as $at => $moment) {
            if (null !== $moment->impact) {
                $swing += abs($moment->turn - $this->states[$at]->turn);
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
