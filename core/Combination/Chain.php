<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** A sequence of strikes and moves by role (lead, rear). One chain serves both stances. */
final readonly class Chain implements \Countable
{
    /** Maximum number of items in a chain, with repeats written out. */
    public const MAX_ITEMS = 64;

    /** @param list<Item> $items */
    private function __construct(public array $items)
    {
    }

    /**
     * @param list<Item> $items
     *
     * @throws InvalidChain
     */
    public static function of(array $items): self
    {
        foreach (array_keys($items) as $index) {
            self::require($items, $index);
        }
        if (\count($items) > self::MAX_ITEMS) {
            throw InvalidChain::tooLong();
        }

        return new self($items);
    }

    /** @return list<string> the ids of its strikes and moves, each once, in their order */
    public function techniques(): array
    {
        $ids = [];
        foreach ($this->items as $item) {
            if ($item instanceof StrikeItem) {
                $ids[$item->strike->id] = true;
            } elseif ($item instanceof MoveItem) {
                $ids[$item->move->id] = true;
            }
        }

        return array_keys($ids);
    }

    /**
     * Throws when the item at that index cannot follow the items before it.
     *
     * @param list<Item> $items
     *
     * @throws InvalidChain
     */
    public static function require(array $items, int $index): void
    {
        $item = $items[$index];
        if ($index > 0 && $item instanceof MoveItem && $item->move->isStart()) {
            throw InvalidChain::startsLater($item->move);
        }
        if ($item instanceof StrikeItem && $item->legUp) {
            self::requireLegUp($item, $items[$index - 1] ?? null);
        }
        if (!$item instanceof StrikeItem || !$item->joined) {
            return;
        }
        if ($item->feint) {
            throw InvalidChain::joinedFeint($item->strike);
        }
        do {
            $before = $items[--$index] ?? null;
            if ($before instanceof MoveItem) {
                $before->move->allowsStrikeOf($item->strike) || throw InvalidChain::joinsMove($before->move);

                return;
            }
            if (!$before instanceof StrikeItem || $before->feint) {
                throw InvalidChain::joinsNothing();
            }
            if (Landing::Back !== $before->landing) {
                throw InvalidChain::joinsLanding($item->strike);
            }
            if ($before->sharesLimbWith($item)) {
                throw InvalidChain::joinsSameLimb($item->strike);
            }
        } while ($before->joined);
    }

    private static function requireLegUp(StrikeItem $item, ?Item $before): void
    {
        if (
            $item->joined
            || !$item->isLegStrike()
            || !$item->strike->startsOnOneLeg()
            || !$before instanceof StrikeItem
            || !$before->sharesLimbWith($item)
            || Landing::Back !== $before->landing
        ) {
            throw InvalidChain::legUp($item->strike);
        }
    }

    /**
     * Returns the strike tied to the item before it: thrown as one action with a move, or kicked with the leg that is
     * still up. Returns null where the two cannot be tied, or where coaches do not call it. Common practice, no source.
     */
    public static function tied(?Item $before, Item $item): ?StrikeItem
    {
        if (null === $before || !$item instanceof StrikeItem || $item->belongsToBefore()) {
            return null;
        }
        try {
            $tied = match (true) {
                $before instanceof MoveItem => $before->move->suits($item->strike)
                    && $before->move->allowsStrikeOf($item->strike) ? $item->with(joined: true) : null,
                $before instanceof StrikeItem => $before->isLegStrike() && $before->sharesLimbWith($item)
                    ? $item->with(legUp: true)
                    : null,
                default => null,
            };
            if (null !== $tied) {
                self::require([$before, $tied], 1);
            }

            return $tied;
        } catch (InvalidChain) {
            return null;
        }
    }

    public function count(): int
    {
        return \count($this->items);
    }

    /** Tells whether the item at that index lands together with a strike before it, and does not go with a move. */
    public function joinsStrike(int $index): bool
    {
        $item = $this->items[$index];

        return $item instanceof StrikeItem && $item->joined && $this->items[$index - 1] instanceof StrikeItem;
    }

    /** Tells whether the item at that index goes with the move before it. */
    public function goesWithMove(int $index): bool
    {
        $item = $this->items[$index];

        return $item instanceof StrikeItem && $item->joined && $this->items[$index - 1] instanceof MoveItem;
    }

    /** @return array<int, StrikeItem> the strikes by their place in the chain, feints among them */
    public function strikes(): array
    {
        return array_filter($this->items, static fn (Item $item): bool => $item instanceof StrikeItem);
    }

    /** @return list<StrikeItem> the strike at that index, or those that the athlete chooses from there */
    public function strikesAt(int $index): array
    {
        $item = $this->items[$index];

        return match (true) {
            $item instanceof StrikeItem => [$item],
            $item instanceof FreeStrikes => $item->choice,
            default => [],
        };
    }

    /** @return list<string> its links, each once, by what they join */
    public function links(): array
    {
        $links = [];
        for ($index = 1; $index < \count($this->items); ++$index) {
            $links[] = $this->items[$index - 1]->key().' '.$this->items[$index]->key();
        }

        return array_values(array_unique($links));
    }

    /** @return list<string> the strikes that it delivers, each once, by their id */
    public function weapons(): array
    {
        return array_values(
            array_unique(
                array_map(
                    static fn (StrikeItem $item): string => $item->strike->id,
                    array_filter($this->strikes(), static fn (StrikeItem $item): bool => $item->delivered()),
                ),
            ),
        );
    }
}
