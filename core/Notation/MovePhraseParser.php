<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** Parses a phrase for one move, with its side before or after it. It looks ahead and consumes nothing. */
final readonly class MovePhraseParser
{
    public function __construct(private Vocabulary $vocabulary, private StrikePhraseParser $strikes)
    {
    }

    /** @param int $from place of the first token */
    public function parse(TokenStream $tokens, int $from): ?MovePhrase
    {
        $side = Vocabulary::SIDES[$tokens->words[$from] ?? ''] ?? null;
        $index = null === $side ? $from : $from + 1;
        $found = $this->vocabulary->move($tokens->words, $index);
        if (null === $found) {
            return null;
        }
        [$name, $count] = [$found->name, $found->count];
        $next = $index + $count;
        $sides = $this->vocabulary->bases[$name] ?? null;
        $said = implode(' ', \array_slice($tokens->words, $index, $count));
        if (
            null !== $sides
            && 2 === $count
            && true === $tokens->at($index + 1)?->hyphen
            && $this->vocabulary->isMove($written = strtr($said, ' ', '-'))
        ) {
            // Typed as in a line of numbers, "step-out" is that move; said in words, it goes where the kick needs it.
            [$name, $sides] = [$written, null];
        }
        if (null === $side) {
            $after = $this->sideAfter($tokens, $next, null !== $sides);
            [$side, $next] = [$after?->side, $after->next ?? $next];
        }
        if (
            null === $side
            && 'slip' === $name
            && isset(Vocabulary::SLIPS[$tokens->words[$next] ?? ''])
            && null === $this->strikes->parse($tokens, $next)
        ) {
            $side = Vocabulary::SLIPS[$tokens->words[$next]];
            ++$next;
        }

        return new MovePhrase($name, $sides, $side, $said, $tokens->span($from, $next), $next);
    }

    /**
     * Reads "left" or "to the left side". The short form is not taken from a following strike unless the move needs a
     * side.
     */
    private function sideAfter(TokenStream $tokens, int $index, bool $asks): ?FoundSide
    {
        $words = $tokens->words;
        $skip = 'to' === ($words[$index] ?? '') ? (isset(Vocabulary::ARTICLES[$words[$index + 1] ?? '']) ? 2 : 1) : 0;
        $side = Vocabulary::SIDES[$words[$index + $skip] ?? ''] ?? null;
        if (null === $side) {
            return null;
        }
        $next = $index + $skip + 1;
        if (0 === $skip) {
            $strike = $this->strikes->parse($tokens, $index);
            $isBare =
                null === $strike || ($strike->head->at === $tokens->at($index)?->span->at && $strike->next === $next);
            // "Slip right hand" is a slip and a right hand.
            $isHand = !$isBare && $strike->head->at === $tokens->at($index)?->span->at && $strike->next > $next;

            return $isBare || ($asks && !$isHand) ? new FoundSide($side, $next) : null;
        }

        return new FoundSide($side, 'side' === ($words[$next] ?? '') ? $next + 1 : $next);
    }
}
