<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * A chain while it is being read: its items, where each was written, and the stance after the last one. It refuses what
 * no chain allows, with a problem at the place.
 *
 * @internal to {@see ChainParser}
 */
final class ChainDraft
{
    /**
     * @var list<Item>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $items = [];
    /**
     * @var list<Span> where each item was written
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $spans = [];
    /** @phpstan-readonly-allow-private-mutation */
    public Stance $running;

    public function __construct(
        private readonly TokenStream $tokens,
        private readonly Diagnostics $diagnostics,
        private readonly Stance $stance,
    ) {
        $this->running = $tokens->running = $stance;
    }

    public function last(): ?Item
    {
        return $this->items[\count($this->items) - 1] ?? null;
    }

    public function lastSpan(): ?Span
    {
        return $this->spans[\count($this->spans) - 1] ?? null;
    }

    /** @return bool false when the chain is full */
    public function add(Item $item, Span $span): bool
    {
        if (\count($this->items) >= Chain::MAX_ITEMS) {
            $this->diagnostics->problem($span, InvalidChain::tooLong()->getMessage(), t('a shorter line'));
            $this->tokens->moveToEnd();

            return false;
        }
        try {
            $isStart = $item instanceof MoveItem && $item->move->isStart();
            if ($isStart || ($item instanceof StrikeItem && $item->belongsToBefore())) {
                Chain::require([...$this->items, $item], \count($this->items));
            }
        } catch (InvalidChain $invalid) {
            $item instanceof MoveItem
                ? $this->diagnostics->problem(
                    $span,
                    $invalid->getMessage(),
                    t('it at the beginning'),
                    [$item->move->id.' 1 2'],
                )
                : $this->diagnostics->problem(
                    $span,
                    $invalid->getMessage(),
                    t('a strike of another limb, directly after a delivered strike'),
                    ['1 +14'],
                );

            return true;
        }
        $this->items[] = $item;
        $this->spans[] = $span;
        $this->running = $this->tokens->running = ChainInStance::after($item, $this->running);

        return true;
    }

    /** Adds everything from that item on that often again. */
    public function repeatFrom(int $from, int $times): void
    {
        $items = \array_slice($this->items, $from);
        $spans = \array_slice($this->spans, $from);
        for ($time = 0; $time < $times; ++$time) {
            foreach ($items as $index => $item) {
                // A repetition goes on from where it is.
                $isStart = $item instanceof MoveItem && $item->move->isStart();
                if (!$isStart && !$this->add($item, $spans[$index])) {
                    return;
                }
            }
        }
    }

    /** Adds the last item that often again, each after the other. */
    public function repeatLast(int $times): void
    {
        $item = $this->last();
        $span = $this->lastSpan();
        if (null === $item || null === $span) {
            return;
        }
        if ($item instanceof StrikeItem) {
            $item = $item->with(joined: false);
        }
        for ($time = 0; $time < $times && $this->add($item, $span); ++$time) {
        }
    }

    /** Replaces the last item with a marked one. The mark is at that span. */
    public function replaceLast(Item $item, Span $mark): void
    {
        $this->change(\count($this->items) - 1, $item);
        $this->widen($mark);
    }

    /**
     * Replaces all items, and computes the stance after them again.
     *
     * @param list<Item> $items
     * @param list<Span> $spans
     *
     * @return bool false when no chain allows them; then nothing has changed
     */
    public function rebuild(array $items, array $spans): bool
    {
        try {
            $chain = Chain::of($items);
        } catch (InvalidChain) {
            return false;
        }
        [$this->items, $this->spans] = [$items, $spans];
        $this->running = $this->tokens->running = (new ChainInStance($chain, $this->stance))->end;

        return true;
    }

    /** Puts a changed item in the place of the one at that index; false when no chain allows it. */
    public function change(int $index, Item $item): bool
    {
        return $this->rebuild([...\array_slice($this->items, 0, $index), $item, ...\array_slice(
            $this->items,
            $index + 1,
        )], $this->spans);
    }

    /** @return list<int> the places of the strikes, feints among them */
    public function strikes(): array
    {
        return array_keys(array_filter($this->items, static fn (Item $item): bool => $item instanceof StrikeItem));
    }

    public function removeLast(): void
    {
        $this->rebuild(\array_slice($this->items, 0, -1), \array_slice($this->spans, 0, -1));
    }

    /** Extends the place of the last item by a sign beside it. */
    public function widen(Span $span): void
    {
        $last = $this->lastSpan();
        if (null !== $last) {
            $wide = $last->at < $span->at ? $last->until($span) : $span->until($last);
            $this->spans = [...\array_slice($this->spans, 0, -1), $wide];
        }
    }
}
