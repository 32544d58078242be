<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\StrikeTrait;
use Periplus\Core\Technique\Target;
use Random\Randomizer;

/**
 * Draws the items of a chain: what usually comes after the items so far, what serves the theme more often, and, the
 * more surprise is asked for, anything that the body can do.
 *
 * @internal to {@see Generator}
 */
final class ItemPool
{
    /** How much more often what serves the theme is drawn. */
    private const THEME_TIMES = 6.0;
    /** Where anything may come: the shares of a strike not thrown every day, of another target, and of all moves. */
    private const NOT_DAILY = 0.15;
    private const OTHER_TARGET = 0.5;
    private const MOVES_SHARE = 0.25;
    /** Into how many parts the whole is divided for a draw. */
    private const GRAINS = 1_000_000_000;

    /** @var list<StrikeItem> */
    private readonly array $strikes;
    /** @var list<MoveItem> */
    private readonly array $moves;
    /** @var array<string, array{list<Item|null>, list<float>}> what may come, with its weights added up, by what was */
    private array $drawn = [];

    public function __construct(
        Catalogue $catalogue,
        private readonly GenerationCriteria $criteria,
        private readonly Usage $usage,
    ) {
        $strikes = [];
        foreach ($catalogue->strikes as $strike) {
            if (\in_array($strike->limb, $criteria->weapons, true)) {
                foreach ($strike->targets as $target) {
                    array_push($strikes, ...$this->variants(new StrikeItem($strike, $target)));
                }
            }
        }
        $this->strikes = $strikes;
        $this->moves = array_values(array_map(
            static fn (Move $move): MoveItem => new MoveItem($move),
            array_filter($catalogue->moves, $this->isMeant(...)),
        ));
    }

    /**
     * Draws what comes next.
     *
     * @param list<Item> $items so far
     * @param int $strikes how many of them are strikes
     *
     * @return Item|false|null null for the end of the chain; false when nothing can come
     */
    public function next(array $items, int $strikes, Randomizer $random): Item|false|null
    {
        $count = \count($items);
        [$last, $before] = [$items[$count - 2] ?? null, $items[$count - 1] ?? null];
        $phase = match (true) {
            $strikes >= $this->criteria->length => Phase::End,
            0 === $strikes => Phase::Start,
            default => Phase::Between,
        };
        $key = $phase->name.' '.($last?->key() ?? '').' '.($before?->key() ?? '');
        [$choices, $sums] = $this->drawn[$key] ??= $this->weighed($last, $before, $phase);
        if ([] === $sums) {
            return false;
        }
        $at = ($random->getInt(0, self::GRAINS - 1) / self::GRAINS) * $sums[\count($sums) - 1];
        foreach ($sums as $place => $sum) {
            if ($at < $sum) {
                return $choices[$place];
            }
        }

        return $choices[\count($choices) - 1];
    }

    /** @return array{list<Item|null>, list<float>} */
    private function weighed(?Item $last, ?Item $before, Phase $phase): array
    {
        $choices = Phase::End === $phase ? [null] : $this->strikes;
        // Two moves in a row are enough.
        if (!($last instanceof MoveItem && $before instanceof MoveItem)) {
            $choices = [...$choices, ...array_filter(
                $this->moves,
                fn (MoveItem $item): bool => $this->isOpen($item->move, $phase),
            )];
        }
        [$kept, $sums, $sum] = [[], [], 0.0];
        foreach ($choices as $item) {
            $weight = $this->weight($last, $before, $item, $phase);
            if ($weight > 0.0) {
                $kept[] = $item;
                $sums[] = $sum += $weight;
            }
        }

        return [$kept, $sums];
    }

    private function weight(?Item $last, ?Item $before, ?Item $item, Phase $phase): float
    {
        $serves = $this->criteria->theme?->isServedBy($item, $phase);
        if (
            false === $serves
            && !$before instanceof MoveItem
            && true === $this->criteria->theme->insistsOn($phase)
        ) {
            return 0.0;
        }
        $surprise = $this->criteria->surprise / GenerationCriteria::MOST_SURPRISE;
        // Any strike may end a chain.
        $known = null === $item || $this->usage->knows($before, $item);
        $usual = $known ? $this->usage->share($last, $before, $item) : 0.0;

        return (true === $serves ? self::THEME_TIMES : 1.0)
            * ((1.0 - $surprise) * $usual + $surprise * $this->freely($item));
    }

    /** Returns the share of the item where anything may come; about 1 for all together. */
    private function freely(?Item $item): float
    {
        if (!$item instanceof StrikeItem) {
            return null === $item ? 1.0 : self::MOVES_SHARE / \count($this->moves);
        }
        $strike = $item->strike;
        $isRare = $strike->rare || (Target::Leg === $item->target && 'round kick' !== $strike->family);

        return match (true) {
            $item->feint, $item->belongsToBefore(), $item->changesStance() => 0.0,
            // What is rare comes when it is asked for.
            $isRare && $this->criteria->surprise < GenerationCriteria::MOST_SURPRISE => 0.0,
            default => ($strike->has(StrikeTrait::Daily) ? 1.0 : self::NOT_DAILY)
                * ($item->target === $strike->defaultTarget() ? 1.0 : self::OTHER_TARGET)
                / \count($this->strikes),
        };
    }

    /** @return list<StrikeItem> the strike, and how it is thrown besides: shown, together with another, leg still up */
    private function variants(StrikeItem $item): array
    {
        $variants = [
            $item->with(feint: true),
            $item->with(joined: true),
            ...$item->isLegStrike() ? [$item->with(legUp: true)] : [],
            ...$this->criteria->switches && Landing::Forward->isOpenTo($item->strike)
                ? [$item->with(landing: Landing::Forward)]
                : [],
        ];

        return [$item, ...array_values(array_filter($variants, $this->usage->knowsItem(...)))];
    }

    /** Tells whether the move may be drawn at all. */
    private function isMeant(Move $move): bool
    {
        $withLegs = \in_array(Limb::Leg, $this->criteria->options->rules->allows, true);
        $isCheck = MoveKind::Defence === $move->kind && null !== $move->foot;

        return Feet::Cross !== $move->feet
            && !$move->isStart()
            && ($this->criteria->switches || !$move->changesStance())
            // In boxing nobody pushes or checks a kick.
            && ($withLegs || (MoveKind::Contact !== $move->kind && !$isCheck));
    }

    private function isOpen(Move $move, Phase $phase): bool
    {
        $leaves = MoveKind::Footwork === $move->kind && $move->range > 0;

        return match ($phase) {
            Phase::Start => MoveKind::Contact !== $move->kind && !$leaves,
            // An exit ends a chain.
            Phase::Between => !str_starts_with($move->id, 'exit'),
            Phase::End => !$move->changesStance()
                && ($leaves || $move->leavesLine() || (MoveKind::Contact === $move->kind && $move->range > 0)),
        };
    }
}
