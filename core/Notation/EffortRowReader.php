<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

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

    /** Reads one effort for a clause, or one for each strike of it, from the place of the first. */
    private function row(): bool
    {
        $from = $next = $this->tokens->position();
        $efforts = [];
        while (null !== ($effort = Vocabulary::EFFORTS[$this->tokens->words[$next] ?? ''] ?? null)) {
            $efforts[] = $effort;
            ++$next;
            $isRow = isset(Vocabulary::EFFORTS[$this->tokens->words[$next + 1] ?? '']);
            $next += $isRow && [] === $this->draft->items && $this->isStop($next) ? 1 : 0;
        }
        $isApart = $this->isStop($next);
        if (!$isApart && 1 === \count(array_unique($efforts, \SORT_REGULAR))) {
            // "Big big right hand" says one effort twice.
            return false;
        }
        $next += $isApart ? 1 : 0;
        $isWhole = \count($efforts) > 1 ? !$this->isBroken($from, $next) || $isApart : $isApart;
        $isBegin = [] === $this->draft->items && null !== $this->strikes->parse($this->tokens, $next);
        if ([] === $efforts || !$isWhole || !$isBegin) {
            return false;
        }
        $this->spread->promise($efforts, $this->tokens->span($from, $next));
        $this->tokens->moveTo($next);

        return true;
    }

    private function isBroken(int $from, int $to): bool
    {
        for ($index = $from; $index < $to; ++$index) {
            if ($this->isStop($index)) {
                return true;
            }
        }

        return false;
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
