<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\StrikeTrait;

/**
 * Lists the small changes that a coach would think of: insert a move or a beat, exchange a strike for another of its
 * kind or a step in for a step off the line, let a kick land in front, leave out an item.
 */
final readonly class EditList
{
    /** @var list<Item> */
    private array $insertions;
    /** @var list<Item> what makes sense after the last item */
    private array $endings;

    public function __construct(private Catalogue $catalogue)
    {
        $insertions = [];
        $endings = [];
        foreach ($catalogue->moves as $move) {
            // Blocks, parries and leg checks answer the opponent; a change of stance or a crossing step would turn the
            // rest into another chain.
            $answers = MoveKind::Defence === $move->kind && !$move->movesHead();
            if ($answers || $move->isStart() || $move->changesStance() || Feet::Cross === $move->feet) {
                continue;
            }
            if (!str_starts_with($move->id, 'exit')) {
                $insertions[] = new MoveItem($move);
            }
            // At the end of a chain only moves that leave make sense: footwork, or a duck under the answer.
            if (
                MoveKind::Footwork === $move->kind
                    ? $move->leavesLine() || $move->range > 0
                    : Head::Low === $move->head && null !== $move->toward
            ) {
                $endings[] = new MoveItem($move);
            }
        }
        $this->insertions = [...$insertions, new Beat()];
        $this->endings = $endings;
    }

    /**
     * Returns all single edits that leave a valid chain, by index; insertions come first. A strike may also be tied to
     * the item before it, see {@see Chain::tied}.
     *
     * @return list<Edit>
     */
    public function edits(Chain $chain): array
    {
        $count = \count($chain);
        $edits = [];
        for ($index = 0; $index <= $count; ++$index) {
            foreach ($index === $count ? $this->endings : $this->insertions as $item) {
                $edits[] = Edit::insert($index, $item);
            }
            if ($index < $count) {
                $ways = [
                    ...$this->exchanges($chain->items[$index]),
                    ...$this->steps($chain->items[$index]),
                    ...$this->landings($chain->items[$index], $chain->items[$index + 1] ?? null),
                ];
                foreach ($ways as $item) {
                    $edits[] = Edit::exchange($index, $item);
                }
                $tied = Chain::tied($chain->items[$index - 1] ?? null, $chain->items[$index]);
                if (null !== $tied) {
                    $edits[] = Edit::exchange($index, $tied);
                }
                if ($count > 1) {
                    $edits[] = Edit::drop($index);
                }
            }
        }

        return array_values(
            array_filter($edits, static fn (Edit $edit): bool => self::isValid(Edit::apply($chain->items, [$edit]))),
        );
    }

    /** @param list<Item> $items */
    public static function isValid(array $items): bool
    {
        try {
            Chain::of($items);

            return [] !== $items;
        } catch (InvalidChain) {
            return false;
        }
    }

    /** @return list<StrikeItem> the other strikes of its kind, at the same target where they go there */
    public function exchanges(Item $item): array
    {
        if (!$item instanceof StrikeItem) {
            return [];
        }
        $others = [];
        foreach ($this->catalogue->strikes as $strike) {
            if ($strike === $item->strike || !$this->isNeighbour($strike, $item->strike)) {
                continue;
            }
            $target = \in_array($item->target, $strike->targets, true) ? $item->target : $strike->defaultTarget();
            $others[] = $item->by($strike, $target);
        }

        return $others;
    }

    /** @return list<MoveItem> the steps off the line that a step in could be */
    private function steps(Item $item): array
    {
        if (!$item instanceof MoveItem || Feet::Step !== $item->move->feet || $item->move->range >= 0) {
            return [];
        }

        return array_values(array_map(
            static fn (Move $move): MoveItem => new MoveItem($move),
            array_filter(
                $this->catalogue->moves,
                static fn (Move $move): bool => Feet::Step === $move->feet && $move->takesAngle() && 0 === $move->range,
            ),
        ));
    }

    /**
     * Returns the kick with its foot in front or half way, where a hand follows that may need to be nearer.
     *
     * @return list<StrikeItem>
     */
    private function landings(Item $item, ?Item $next): array
    {
        return $item instanceof StrikeItem
            && $next instanceof StrikeItem
            && $next->strike->limb->isArm()
            && !$next->belongsToBefore()
            && !$item->feint
            && $item->isLegStrike()
            && Landing::Back === $item->landing
            && Landing::Forward->isOpenTo($item->strike)
                ? [$item->with(landing: Landing::Forward), $item->with(landing: Landing::HalfWay)]
                : [];
    }

    /** Tells whether the strike is of the same kind of limb and adds no spin. */
    private function isNeighbour(Strike $strike, Strike $original): bool
    {
        return $strike->limb === $original->limb
            && (!$strike->spins() || $original->spins())
            && (Limb::Leg !== $strike->limb
                || $strike->path === $original->path
                || $strike->has(StrikeTrait::SetsUp)
                || $original->has(StrikeTrait::SetsUp));
    }
}
