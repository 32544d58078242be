<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\BodyState;
use Periplus\Core\Flow\Timing\FlowModel;

/**
 * Times a chain once, so that an edit is timed only where the result differs. Links are given as the rank of their
 * verdict, 0 to 2; IMPOSSIBLE for an invalid edit.
 *
 * @internal to {@see MendFinder}
 */
final class EditedTiming
{
    public const IMPOSSIBLE = 3;

    /** @var list<BodyState> the body as each item finds it, and at last after all */
    public readonly array $states;
    /** @var list<int> rank of the link to each item; 0 for the first */
    public readonly array $links;
    /** @var list<int> worst of the links before each place */
    public readonly array $worstBefore;
    /** @var list<int> worst of the links from each place on */
    private readonly array $worstFrom;
    private readonly float $gap;
    /** Number of items timed since then: the cost of the search so far. */
    public int $steps = 0;
    /** @var array<string, array<int, int>> what was found already, by place and body, and by edit */
    private array $known = [];

    public function __construct(private readonly FlowModel $model, private readonly Chain $chain, CheckOptions $options)
    {
        $state = $model->begin($options->rules, $options->tempo, $options->medium);
        $states = [clone $state];
        $links = [];
        $worstBefore = [0];
        foreach ($chain->items as $item) {
            $links[] = $model->take($state, $item)?->verdict->rank() ?? 0;
            $worstBefore[] = max($worstBefore[\count($worstBefore) - 1], $links[\count($links) - 1]);
            $states[] = clone $state;
        }
        $worstFrom = [0];
        foreach (array_reverse($links) as $rank) {
            array_unshift($worstFrom, max($worstFrom[0], $rank));
        }
        [$this->states, $this->links, $this->worstBefore, $this->worstFrom] = [
            $states,
            $links,
            $worstBefore,
            $worstFrom,
        ];
        $this->gap = $model->gap($state);
    }

    /** @return list<Item> the items before that place */
    public function before(int $place): array
    {
        return \array_slice($this->chain->items, 0, $place);
    }

    /** Tells whether the rest of the chain from that index on is unchanged. */
    public function isSame(BodyState $state, int $position): bool
    {
        $next = $this->chain->items[$position] ?? null;

        return !($next instanceof StrikeItem && $next->belongsToBefore())
            && $state->continuesLike($this->states[$position], $this->gap);
    }

    /**
     * Times one item.
     *
     * @param list<Item> $done the items so far; grows by the one
     */
    public function take(BodyState $state, array &$done, Item $item): int
    {
        ++$this->steps;
        $done[] = $item;
        if ($item instanceof StrikeItem && $item->belongsToBefore()) {
            try {
                Chain::require($done, \count($done) - 1);
            } catch (InvalidChain) {
                return self::IMPOSSIBLE;
            }
        }

        return $this->model->take($state, $item)?->verdict->rank() ?? 0;
    }

    /**
     * Returns those of the edits that, from this body state, leave no link worse than their limit. Many paths reach the
     * same state, so most answers are cached.
     *
     * @param BodyState $from the body before the edits; stays as it is
     * @param list<Item> $done the items before the edits
     * @param array<int, Edit> $edits all of one place
     * @param array<int, int> $good worst rank that each may have
     *
     * @return list<int> their keys
     */
    public function holding(BodyState $from, array $done, array $edits, array $good): array
    {
        $joins =
            []
            !== array_filter(
                $this->chain->items,
                static fn (Item $item): bool => $item instanceof StrikeItem && $item->belongsToBefore(),
            );
        $key = $joins ? '' : $from->signature($this->gap);
        $holding = [];
        foreach ($good as $index => $limit) {
            $edit = $edits[$index];
            $place = $key.' '.$edit->at.' '.$limit;
            $worst = $this->known[$place][$index] ?? $this->restWith($edit, $from, $done, $limit);
            if (!$joins) {
                $this->known[$place][$index] = $worst;
            }
            if ($worst <= $limit) {
                $holding[] = $index;
            }
        }

        return $holding;
    }

    /**
     * Returns the worst rank of the links from the edit on; stops with any value above the limit once it is exceeded.
     *
     * @param BodyState $from the body before the edit; stays as it is
     * @param list<Item> $done the items before the edit
     */
    public function restWith(Edit $edit, BodyState $from, array $done, int $limit = self::IMPOSSIBLE): int
    {
        $state = clone $from;
        $worst = null === $edit->item ? 0 : $this->take($state, $done, $edit->item);
        for (
            $position = $edit->at + (EditKind::Insert === $edit->kind ? 0 : 1);
            $position < \count($this->chain);
            ++$position
        ) {
            if ($worst > $limit) {
                return $worst;
            }
            if ($this->isSame($state, $position)) {
                return max($worst, $this->worstFrom[$position]);
            }
            $worst = max($worst, $this->take($state, $done, $this->chain->items[$position]));
        }

        return [] === $done ? self::IMPOSSIBLE : $worst;
    }
}
