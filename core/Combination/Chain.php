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
        if (!$item instanceof StrikeItem || !$item->joined) {
            return;
        }
        if ($item->feint) {
            throw InvalidChain::joinedFeint($item->strike);
        }
        do {
            $before = $items[--$index] ?? null;
            if (!$before instanceof StrikeItem || $before->feint) {
                throw InvalidChain::joinsNothing();
            }
            if ($before->landsForward) {
                throw InvalidChain::joinsLanding($item->strike);
            }
            if ($before->sharesLimbWith($item)) {
                throw InvalidChain::joinsSameLimb($item->strike);
            }
        } while ($before->joined);
    }

    public function count(): int
    {
        return \count($this->items);
    }

    /** @return array<int, StrikeItem> the strikes by their place in the chain, feints among them */
    public function strikes(): array
    {
        return array_filter($this->items, static fn (Item $item): bool => $item instanceof StrikeItem);
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
