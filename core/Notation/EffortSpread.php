<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\StrikeItem;

use function Periplus\Core\Language\t;

/**
 * An effort that is said before a strike and holds for those that follow it, up to the next effort, comma or "then":
 * "light one two, hard three".
 *
 * @internal to {@see StrikeReader}
 */
final class EffortSpread
{
    private Effort $effort = Effort::Plain;
    private ?Span $from = null;
    /** @var list<string> the names of the strikes for which it holds */
    private array $reached = [];
    /** @var list<Effort> one for each strike that comes, where more than one was said */
    private array $inTurn = [];
    /** Whether it was said apart from the first strike. */
    private bool $isApart = false;

    public function __construct(private readonly Diagnostics $diagnostics)
    {
    }

    public function begin(Effort $effort, StrikeItem $first, Span $span): void
    {
        $this->end();
        [$this->effort, $this->from, $this->reached] = [$effort, $span, [$first->strike->name]];
    }

    /**
     * Begins before the first strike is known: one effort holds for all that follow, several for one strike each.
     *
     * @param non-empty-list<Effort> $efforts
     */
    public function promise(array $efforts, Span $span): void
    {
        $this->end();
        [$this->effort, $this->from, $this->reached] = [$efforts[0], $span, []];
        $this->inTurn = \count($efforts) > 1 ? $efforts : [];
        $this->isApart = true;
    }

    /** Returns the strike with the effort that holds; one that has its own ends it. */
    public function over(StrikeItem $item, Span $span): StrikeItem
    {
        if (null === $this->from || $item->feint || Effort::Plain !== $item->effort) {
            return $item;
        }
        $this->reached[] = $item->strike->name;
        $this->from = $this->from->until($span);
        if ([] === $this->inTurn) {
            return $item->with(effort: $this->effort);
        }
        $effort = array_shift($this->inTurn);
        if ([] === $this->inTurn) {
            $this->diagnostics->note($this->from, t(
                'One effort each for {strikes}.',
                strikes: implode(', ', $this->reached),
            ));
            $this->from = null;
        }

        return $item->with(effort: $effort);
    }

    /** Ends it, and says how far it has reached. */
    public function end(): void
    {
        if (null !== $this->from && [] !== $this->inTurn) {
            $this->diagnostics->problem(
                $this->from,
                t('There are more efforts here than strikes after them.'),
                t('as many strikes as efforts, or one effort'),
            );
        } elseif (null !== $this->from && [] === $this->reached) {
            $this->diagnostics->passOver($this->from);
        } elseif (null !== $this->from && ($this->isApart || \count($this->reached) > 1)) {
            $this->diagnostics->note($this->from, t(
                '"{effort}" holds for {strikes}; a comma ends it.',
                effort: $this->effort->word(),
                strikes: implode(', ', $this->reached),
            ));
        }
        $this->from = null;
        $this->inTurn = [];
        $this->isApart = false;
    }
}
