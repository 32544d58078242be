<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/** The theme of a class, and what a chain must contain to fit it. Common practice, no source. */
enum Theme: string
{
    case HeadMovement = 'head-movement';
    case BodyWork = 'body-work';
    case InAndOut = 'in-and-out';
    case Angles = 'angles';
    case Counters = 'counters';
    case KicksOffHands = 'kicks-off-hands';

    public function title(): string
    {
        return match ($this) {
            self::HeadMovement => t('head movement'),
            self::BodyWork => t('body work'),
            self::InAndOut => t('in and out'),
            self::Angles => 'angles',
            self::Counters => 'counters',
            self::KicksOffHands => t('kicks off hands'),
        };
    }

    public function holds(Chain $chain): bool
    {
        $items = $chain->items;
        $delivered = array_filter($chain->strikes(), static fn (StrikeItem $item): bool => $item->delivered());
        $first = array_key_first($delivered) ?? 0;
        $last = array_key_last($delivered) ?? 0;
        $between = array_filter(
            $items,
            static fn (Item $item, int $index): bool => $index > $first && $index < $last,
            \ARRAY_FILTER_USE_BOTH,
        );

        return match ($this) {
            self::HeadMovement => $this->has($between, self::dodges(...)),
            self::BodyWork => 2
                <= \count(
                    array_filter(
                        $delivered,
                        static fn (StrikeItem $item): bool => Target::Body === $item->target
                            && $item->strike->limb->isArm(),
                    ),
                ),
            self::InAndOut => $this->has(
                \array_slice($items, 0, $last),
                static fn (Move $move): bool => $move->range < 0,
            ) && $this->has(\array_slice($items, $last + 1), static fn (Move $move): bool => $move->range > 0),
            self::Angles => $this->has($between, static fn (Move $move): bool => $move->takesAngle()),
            self::Counters => ($items[0] ?? null) instanceof MoveItem
                && MoveKind::Defence === $items[0]->move->kind
                && [] !== $delivered,
            self::KicksOffHands => $this->kicksOffHands($items),
        };
    }

    /** Tells whether that item, in that part of a chain, serves the theme; null is the end of the chain. */
    public function isServedBy(?Item $item, Phase $phase): bool
    {
        $move = $item instanceof MoveItem ? $item->move : null;
        $strike = $item instanceof StrikeItem && $item->delivered() ? $item : null;

        return match ($this) {
            self::HeadMovement => Phase::Between === $phase && null !== $move && self::dodges($move),
            self::BodyWork => true === $strike?->strike->limb->isArm() && Target::Body === $strike->target,
            self::InAndOut => match ($phase) {
                Phase::Start => 'step-in' === $move?->id,
                Phase::Between => false,
                Phase::End => null !== $move && $move->range > 0,
            },
            self::Angles => Phase::Between === $phase && true === $move?->takesAngle(),
            self::Counters => Phase::Start === $phase && MoveKind::Defence === $move?->kind && 'level' !== $move->id,
            self::KicksOffHands => Limb::Leg === $strike?->strike->limb,
        };
    }

    /** Tells whether only what serves the theme can come in that part, when nothing has come there yet. */
    public function insistsOn(Phase $phase): bool
    {
        return match ($this) {
            self::InAndOut => Phase::Between !== $phase,
            self::Counters => Phase::Start === $phase,
            default => false,
        };
    }

    /** Tells whether the head leaves the line of a punch: a slip, a roll, a duck, a pull. */
    public static function dodges(Move $move): bool
    {
        return MoveKind::Defence === $move->kind && $move->movesHead() && 'level' !== $move->id;
    }

    /** @param array<int, Item> $items */
    private function has(array $items, \Closure $test): bool
    {
        foreach ($items as $item) {
            if ($item instanceof MoveItem && true === $test($item->move)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Item> $items */
    private function kicksOffHands(array $items): bool
    {
        $hand = false;
        foreach ($items as $item) {
            if ($item instanceof StrikeItem) {
                if ($hand && Limb::Leg === $item->strike->limb && $item->delivered()) {
                    return true;
                }
                $hand = Limb::Hand === $item->strike->limb;
            }
        }

        return false;
    }
}
