<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;

/** Parses a phrase for one move, with its side before or after it. It looks ahead and consumes nothing. */
final readonly class MovePhraseParser
{
    /** Moves that a hand or a leg makes, which may be named behind them. */
    private const BY_LIMB = ['block', 'parry', 'check'];
    /** Moves that take the side that follows, even where a strike could have it: "slip left hook". */
    private const TAKES_SIDE = ['slip', 'roll', 'block', 'parry', 'check', 'pivot', 'circle', 'step'];

    public function __construct(private Vocabulary $vocabulary, private StrikePhraseParser $strikes)
    {
    }

    /** @param int $from place of the first token */
    public function parse(TokenStream $tokens, int $from): ?MovePhrase
    {
        $times = $this->times($tokens, $from);
        $start = null === $times ? $from : $from + 1;
        $side = Vocabulary::SIDES[$tokens->words[$start] ?? ''] ?? null;
        $index = null === $side ? $start : $start + 1;
        $found = $this->vocabulary->move($tokens->words, $index);
        if (
            null === $found
            || (null !== $side && $this->strikes->isPunchBefore($tokens, $start, $found))
        ) {
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
        $isPunchNext =
            isset(Vocabulary::SIDES[$tokens->words[$from - 1] ?? ''])
            && null === $sides
            && !$this->vocabulary->goesToASide($name)
            && isset(Vocabulary::SIDES[$tokens->words[$next] ?? '']);
        if (null === $side && !$isPunchNext) {
            $after = $this->sideAfter($tokens, $next, \in_array($name, self::TAKES_SIDE, true));
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
        if (null === $side && \in_array($name, self::BY_LIMB, true)) {
            $limb = $this->withLimb($tokens, $next);
            if (null !== $limb && null === $this->strikes->parse($tokens, $limb->next)) {
                [$side, $next] = [$limb->side, $limb->next];
            }
        }
        $second = null === $side || null === $sides ? null : $this->secondSide($tokens, $next);
        if (null !== $second) {
            $next = $second->next;
        }
        $foot = $this->withLimb($tokens, $next);
        if (null !== $foot && 'foot' === $tokens->words[$foot->next - 1]) {
            $next = $foot->next;
            $name = 'step-out' === $name && Role::Rear === $foot->side ? 'step-rear' : $name;
        }

        return new MovePhrase(
            name: $name,
            sides: $sides,
            side: $side,
            said: $said,
            span: $tokens->span($from, $next),
            next: $next,
            second: $second?->side,
            times: $times ?? ($found->plural ? 2 : 1),
        );
    }

    /** Returns how often a move is made, as said before it: "two slips", "double roll". */
    private function times(TokenStream $tokens, int $from): ?int
    {
        $number = $tokens->numberAt($from);
        $repeats = Vocabulary::REPEATS[$tokens->words[$from] ?? ''] ?? null;
        $next = null === $number && null === $repeats ? null : $this->vocabulary->move($tokens->words, $from + 1);
        if (null === $next) {
            return null;
        }

        return null === $number
            ? $repeats
            : ($next->plural && ctype_digit($number) && $number > 0 && $number <= ChainParser::MAX_REPEATS
                ? (int) $number
                : null);
    }

    /** Reads the second side in "slip left and right", unless it is a punch's. */
    private function secondSide(TokenStream $tokens, int $index): ?FoundSide
    {
        $side = Vocabulary::SIDES[$tokens->words[$index + 1] ?? ''] ?? null;
        if (null === $side || !\in_array($tokens->words[$index], ['and', 'then'], true)) {
            return null;
        }
        $strike = $this->strikes->parse($tokens, $index + 1);

        return null === $strike || $strike->next === $index + 2 ? new FoundSide($side, $index + 2) : null;
    }

    /** Reads "with the rear hand" behind a block and "with the front foot" behind a step. */
    private function withLimb(TokenStream $tokens, int $index): ?FoundSide
    {
        $words = $tokens->words;
        if ('with' !== ($words[$index] ?? '')) {
            return null;
        }
        $index += isset(Vocabulary::ARTICLES[$words[$index + 1] ?? '']) ? 2 : 1;
        $side = 'back' === ($words[$index] ?? '') ? Role::Rear : Vocabulary::SIDES[$words[$index] ?? ''] ?? null;

        return null === $side
            ? null
            : new FoundSide($side, $index + (isset(Vocabulary::LIMBS[$words[$index + 1] ?? '']) ? 2 : 1));
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

            // "Pivot rear straight": who says lead and rear names the strike by it.
            $isRoleOfStrike = !$isBare && $side instanceof Role && $strike->next > $next;

            return $isBare || ($asks && !$isHand && !$isRoleOfStrike) ? new FoundSide($side, $next) : null;
        }

        return new FoundSide($side, 'side' === ($words[$next] ?? '') ? $next + 1 : $next);
    }
}
