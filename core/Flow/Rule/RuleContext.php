<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\WeightPath;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\MediumProperties;

/** The input of a rule: the chain, its timing and its options. */
final class RuleContext
{
    /** @var list<Item> */
    public readonly array $items;
    /** @var array<int, StrikeItem> all strikes by place, feints among them */
    public readonly array $strikes;
    /** @var array<int, StrikeItem> the delivered ones by place */
    public readonly array $delivered;
    private ?Sway $sway = null;

    public function __construct(
        public readonly ChainInStance $inStance,
        public readonly ChainTiming $timing,
        public readonly CheckOptions $options,
    ) {
        $this->items = $inStance->chain->items;
        $this->strikes = $inStance->chain->strikes();
        $this->delivered = array_filter($this->strikes, static fn (StrikeItem $item): bool => $item->delivered());
    }

    /** Returns the threshold from which the rule applies under these house rules. */
    public function threshold(Rule $rule): int|float
    {
        /** @var array<class-string<Rule>, RuleDefinition> $definitions */
        static $definitions = [];
        $definition = $definitions[$rule::class] ??= $rule->definition();

        return $this->options->rules->threshold($definition->id)
            ?? ($definition->threshold->default
                ?? throw new \LogicException(\sprintf('The rule %s has no threshold.', $definition->id)));
    }

    /** Returns the hips over the feet; computed on first use. */
    public function sway(): Sway
    {
        return $this->sway ??= Sway::over(
            WeightPath::phases($this->timing, $this->options->athlete),
            $this->options->athlete,
        );
    }

    /** Returns what the bag, the pads, the partner or the air allows. */
    public function medium(): MediumProperties
    {
        return $this->options->medium->properties();
    }

    public function chain(): Chain
    {
        return $this->inStance->chain;
    }

    /** Returns the item directly before that index. */
    public function before(int $index): ?Item
    {
        return $this->items[$index - 1] ?? null;
    }

    /** Returns the move directly before that index, or null. */
    public function moveBefore(int $index): ?MoveItem
    {
        $before = $this->before($index);

        return $before instanceof MoveItem ? $before : null;
    }

    /**
     * Returns the index of the last strike before that one, counting feints and free strikes; null at the start or
     * after a beat.
     */
    public function strikeBefore(int $index): ?int
    {
        for ($place = $index - 1; $place >= 0; --$place) {
            $item = $this->items[$place];
            if ($item instanceof Beat) {
                return null;
            }
            if ($item instanceof StrikeItem || $item instanceof FreeStrikes) {
                return $place;
            }
        }

        return null;
    }

    /**
     * @return array<int, int> for each delivered kick that has a hand as the strike before it, the place of that hand
     *                         by the place of the kick
     */
    public function handsBeforeKicks(): array
    {
        $hands = [];
        foreach ($this->delivered as $index => $item) {
            $before = Limb::Leg === $item->strike->limb ? $this->strikeBefore($index) : null;
            if (
                null !== $before
                && isset($this->strikes[$before])
                && Limb::Hand === $this->strikes[$before]->strike->limb
            ) {
                $hands[$index] = $before;
            }
        }

        return $hands;
    }

    /** @return list<MoveItem> the moves directly before that index, up to a strike, a beat or the start; last first */
    public function movesBefore(int $index): array
    {
        $moves = [];
        for ($place = $index - 1; $place >= 0 && $this->items[$place] instanceof MoveItem; --$place) {
            $moves[] = $this->items[$place];
        }

        return $moves;
    }

    /** Returns the index of the last earlier item that passes the test, looking back no further than the last beat. */
    public function sinceBeat(int $index, \Closure $test): ?int
    {
        for ($place = $index - 1; $place >= 0 && !$this->items[$place] instanceof Beat; --$place) {
            if (true === $test($this->items[$place])) {
                return $place;
            }
        }

        return null;
    }

    /**
     * Returns the runs of consecutive strikes: a run continues while the strikes are of one kind and ends at every item
     * that breaks it.
     *
     * @param \Closure(Item): bool $breaks
     * @param \Closure(int, StrikeItem, string|null): ?string $kind what a strike counts as, by its place and what the
     *                                                              run so far is of; null passes it over
     *
     * @return list<list<int>> places of the strikes of each run
     */
    public function runs(\Closure $breaks, \Closure $kind): array
    {
        $runs = [];
        $run = [];
        $of = null;
        foreach ($this->items as $index => $item) {
            if ($item instanceof StrikeItem) {
                $is = $kind($index, $item, $of);
                if (null === $is) {
                    continue;
                }
                if ($is !== $of && [] !== $run) {
                    $runs[] = $run;
                    $run = [];
                }
                $run[] = $index;
                $of = $is;
            } elseif ([] !== $run && $breaks($item)) {
                $runs[] = $run;
                [$run, $of] = [[], null];
            }
        }
        if ([] !== $run) {
            $runs[] = $run;
        }

        return $runs;
    }
}
