<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
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
        Stance $stance,
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
        $this->items[] = $item;
        $this->spans[] = $span;
        try {
            Chain::require($this->items, \count($this->items) - 1);
        } catch (InvalidChain $invalid) {
            $this->removeLast();
            $this->diagnostics->problem(
                $span,
                $invalid->getMessage(),
                t('a strike of another limb, directly after a delivered strike'),
                ['1 +14'],
            );

            return true;
        }
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
                if (!$this->add($item, $spans[$index])) {
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

    /** Replaces the last item with a marked strike. The mark is at that span. */
    public function replaceLast(StrikeItem $item, Span $mark): void
    {
        if ($item->changesStance() && true !== $this->last()?->changesStance()) {
            $this->running = $this->tokens->running = $this->running->other();
        }
        $this->items = [...\array_slice($this->items, 0, -1), $item];
        $this->widen($mark);
    }

    public function removeLast(): void
    {
        $this->items = \array_slice($this->items, 0, -1);
        $this->spans = \array_slice($this->spans, 0, -1);
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
