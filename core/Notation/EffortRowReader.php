<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Strike;

use function Periplus\Core\Language\t;

/**
 * Reads efforts that are said apart from their strikes: "light light hard, one two three", "fast, one two" and "one two
 * three, power on the three".
 *
 * @internal to {@see ChainParser}
 */
final readonly class EffortRowReader
{
    public function __construct(
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private StrikePhraseParser $strikes,
        private StrikeResolver $silentResolver,
        private EffortSpread $spread,
    ) {
    }

    /** @return bool whether there was something of the kind */
    public function read(): bool
    {
        return 'on' === $this->tokens->word(1) ? $this->onStrike() : $this->row();
    }

    /** Reads "power on the three", after the three. */
    private function onStrike(): bool
    {
        $from = $this->tokens->position();
        $index = $from + 2 + (isset(Vocabulary::ARTICLES[$this->tokens->words[$from + 2] ?? '']) ? 1 : 0);
        $phrase = $this->strikes->parse($this->tokens, $index);
        if (null === $phrase || !$this->endsAt($phrase->next)) {
            return false;
        }
        $named = $this->silentResolver->resolve($phrase, $this->draft->running, $this->draft->items);
        if (null === $named) {
            return false;
        }
        foreach (array_reverse($this->draft->strikes()) as $place) {
            $item = $this->draft->items[$place];
            if (
                $item instanceof StrikeItem
                && !$item->feint
                && $this->isNamed($item->strike, $phrase, $named->strike)
            ) {
                $this->draft->change($place, $item->with(effort: Vocabulary::EFFORTS[$this->tokens->word()]));
                $this->diagnostics->note(
                    $this->tokens->span($from, $phrase->next),
                    t('This is read for the {strike} before it.', strike: $item->strike->name),
                );
                $this->tokens->moveTo($phrase->next);

                return true;
            }
        }

        return false;
    }

    /** Tells whether a strike before is the one that is named; a bare "hook" is whichever hook was thrown last. */
    private function isNamed(Strike $thrown, StrikePhrase $phrase, Strike $resolved): bool
    {
        $isBare = null === $phrase->side && '' !== $phrase->noun && 'straight' !== $resolved->family;

        return $isBare ? $thrown->family === $resolved->family : $thrown === $resolved;
    }

    /**
     * Reads efforts that open a line: one and a comma, "fast, one two", or one for each strike, "light light hard, one
     * two three".
     */
    private function row(): bool
    {
        $from = $next = $this->tokens->position();
        $efforts = [Vocabulary::EFFORTS[$this->tokens->word()]];
        $hasCommas = false;
        while (null !== ($effort = $this->effortAt($next + 1) ?? $this->effortAt($next + 2, $next + 1))) {
            $hasCommas = $hasCommas || $this->isStop($next + 1);
            $next += $this->isStop($next + 1) ? 2 : 1;
            $efforts[] = $effort;
        }
        ++$next;
        // "Big big right hand" says one effort twice, and "big right hand" needs no row.
        $isRow = !$hasCommas && \count(array_unique($efforts, \SORT_REGULAR)) > 1;
        $strike = $next + ($this->isStop($next) ? 1 : 0);
        if (
            [] !== $this->draft->items
            || (!$isRow && $strike === $next)
            || null === $this->strikes->parse($this->tokens, $strike)
        ) {
            return false;
        }
        $this->spread->promise($efforts, $this->tokens->span($from, $strike));
        $this->tokens->moveTo($strike);

        return true;
    }

    /** @param int|null $comma place at which a comma has to be */
    private function effortAt(int $index, ?int $comma = null): ?Effort
    {
        return null === $comma || $this->isStop($comma)
            ? Vocabulary::EFFORTS[$this->tokens->words[$index] ?? ''] ?? null
            : null;
    }

    private function isStop(int $index): bool
    {
        return TokenKind::Stop === $this->tokens->at($index)?->kind;
    }

    private function endsAt(int $index): bool
    {
        return null === $this->tokens->at($index) || $this->isStop($index);
    }
}
