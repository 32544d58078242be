<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * Parses a phrase for one strike: how often, how hard, feinted, side, target, the noun or number, and what follows it.
 * The chain and the search both use it. It looks ahead and consumes nothing.
 */
final readonly class StrikePhraseParser
{
    /** The family of a side without a noun: "left, right" are two straights. */
    public const BARE_SIDE = 'straight';

    /**
     * @param array<string, mixed> $more single words that are nouns here as well, and go before the vocabulary's own
     *                                   single words
     */
    public function __construct(private Vocabulary $vocabulary, private array $more = [])
    {
    }

    /** @param int $from place of the first token */
    public function parse(TokenStream $tokens, int $from): ?StrikePhrase
    {
        $words = $tokens->words;
        $first = $tokens->at($from);
        if (TokenKind::Number === $first?->kind && '' === ($words[$from + 1] ?? '')) {
            return $this->numberAlone($first, $from);
        }
        $modifiers = new StrikeModifiers(Vocabulary::REPEATS[$words[$from] ?? ''] ?? null);
        $index = null === $modifiers->times ? $from : $from + 1;
        $bare = null;
        while (true) {
            $token = $tokens->at($index);
            $word = $words[$index] ?? '';
            if (TokenKind::Number === $token?->kind && null === $bare) {
                return $this->number($tokens, $from, $index, $modifiers);
            }
            $found = $this->noun($words, $index);
            if (null !== $found && !$this->isManner($words, $index, $found)) {
                [$noun, $count, $plural] = $found;
                $modifiers->plural = $plural;

                return $this->afterSwitch($tokens, $from, $index, $count, $noun, $modifiers);
            }
            if (null !== $bare && null !== $modifiers->side && $this->beginsAnother($words, $index, $modifiers->side)) {
                return $this->finish($tokens, $from, $bare, 1, self::BARE_SIDE, '', $modifiers);
            }
            if (null !== $bare && $this->isMoveOfThatSide($words, $index, $bare)) {
                // "Left leg check" and "left slip".
                return null;
            }
            $limb = $this->limb($words, $index);
            if (null !== $limb) {
                [$side, $count] = $limb;
                $modifiers->setSide($side);
                $bare = $index;
                $index += $count;
            } elseif (isset(Vocabulary::TARGETS[$word])) {
                $modifiers->targetWord = $word;
                ++$index;
            } elseif (isset(Vocabulary::FEINT[$word])) {
                $modifiers->feint = true;
                ++$index;
            } elseif (isset(Vocabulary::EFFORTS[$word])) {
                $modifiers->effort = Vocabulary::EFFORTS[$word];
                ++$index;
            } elseif (isset(Vocabulary::THIGHS[$word])) {
                $modifiers->thigh = Vocabulary::THIGHS[$word];
                ++$index;
            } elseif ('switch' === $word && !$modifiers->switch) {
                $modifiers->switch = true;
                ++$index;
            } elseif (
                isset(Vocabulary::MANNERS[$word])
                || null !== $found
                || ($index > $from
                    && isset(Vocabulary::ARTICLES[$word])
                    && ($modifiers->feint || Effort::Plain !== $modifiers->effort))
            ) {
                // Skips "straight" before a straight noun, or "the" in "feint the jab".
                ++$index;
            } else {
                // A side without a noun is a straight of that hand.
                $stands = null !== $bare && !$modifiers->switch;
                $both =
                    $stands && 'and' === $word && isset(Vocabulary::SIDES[$words[$index + 1] ?? ''])
                        ? $this->parse($tokens, $index + 1)
                        : null;
                if (true === $both?->inTurn) {
                    // "Left and right hooks" is one of each.
                    return $this->finish($tokens, $from, $bare, 1, $both->noun, '', $modifiers);
                }

                return $stands ? $this->finish($tokens, $from, $bare, 1, self::BARE_SIDE, '', $modifiers) : null;
            }
        }
    }

    /** Parses a number without any words, the usual case. */
    private function numberAlone(Token $token, int $index): StrikePhrase
    {
        [$code, $letters] = $this->cut($token->text);

        return new StrikePhrase(
            noun: '',
            code: $code,
            letters: $letters,
            side: null,
            role: null,
            targetWord: null,
            effort: Effort::Plain,
            feint: false,
            landsForward: false,
            times: 1,
            inTurn: false,
            switched: false,
            openTarget: false,
            secondTarget: null,
            head: $token->span,
            span: $token->span,
            next: $index + 1,
        );
    }

    /** @return array{string, string} a number and the letters behind it */
    private function cut(string $number): array
    {
        $digits = strcspn($number, '0123456789');
        $digits += strspn($number, '0123456789', $digits);

        return [substr($number, 0, $digits), substr($number, $digits)];
    }

    /** Before a number only a few words are allowed; a number before a plural counts it: "three jabs". */
    private function number(TokenStream $tokens, int $from, int $index, StrikeModifiers $modifiers): ?StrikePhrase
    {
        $text = $tokens->at($index)->text ?? '';
        if (null !== $modifiers->side || null !== $modifiers->targetWord || $modifiers->switch) {
            return null;
        }
        $counted =
            $from === $index
            && 1 === preg_match('/^([1-9][0-9]?)(x?)$/i', $text, $count)
            && '' !== ($tokens->words[$index + 1] ?? '')
                ? $this->counted($tokens, $index, (int) $count[1], '' !== $count[2])
                : null;

        return $counted ?? $this->finish($tokens, $from, $index, 1, '', $text, $modifiers);
    }

    /** @param bool $same modifiers as "2x", which throws the same strike again */
    private function counted(TokenStream $tokens, int $index, int $times, bool $same): ?StrikePhrase
    {
        $x = 'x' === $tokens->words[$index + 1] || 'times' === $tokens->words[$index + 1];
        $phrase = $this->parse($tokens, $index + ($x ? 2 : 1));
        $isCount =
            $same
            || $x
            || true === $phrase?->inTurn
            || $this->followsACount($tokens, $index)
            || (1 === $times && 'jab' === $phrase?->noun);
        if (null === $phrase || '' === $phrase->noun || $phrase->times > 1 || !$isCount) {
            return null;
        }
        $alike = $same || $x || null !== $phrase->side;

        return new StrikePhrase(
            noun: $phrase->noun,
            code: '',
            letters: '',
            side: $phrase->side,
            role: $phrase->role,
            targetWord: $phrase->targetWord,
            effort: $phrase->effort,
            feint: $phrase->feint,
            landsForward: $phrase->landsForward,
            times: $times,
            inTurn: !$alike && $times > 1,
            switched: $phrase->switched,
            openTarget: $phrase->openTarget,
            secondTarget: null,
            head: $phrase->head,
            span: $tokens->span($index, $phrase->next),
            next: $phrase->next,
        );
    }

    /** "Two jabs, one cross": after one count a further number is a count too. */
    private function followsACount(TokenStream $tokens, int $index): bool
    {
        do {
            --$index;
        } while (
            TokenKind::Stop === $tokens->at($index)?->kind
            || isset(Vocabulary::FILLERS[$tokens->words[$index] ?? ''])
        );

        return $this->vocabulary->isPlural($tokens->words[$index] ?? '');
    }

    /** After "switch", a kick or knee has a name of its own, or uses the leg that is then at the rear. */
    private function afterSwitch(
        TokenStream $tokens,
        int $from,
        int $head,
        int $count,
        string $noun,
        StrikeModifiers $modifiers,
    ): ?StrikePhrase {
        if ($modifiers->switch && isset($this->vocabulary->nouns['switch '.$noun])) {
            return $this->finish($tokens, $from, $head, $count, 'switch '.$noun, '', $modifiers);
        }
        if ($modifiers->switch && (!$this->vocabulary->isOfLeg($noun) || null !== $modifiers->side)) {
            return null;
        }
        $modifiers->side ??= $modifiers->switch ? Role::Rear : null;

        return $this->finish($tokens, $from, $head, $count, $noun, '', $modifiers);
    }

    /** Parses what may follow the noun or number, in any order: a side, a target, "landing forward", "twice". */
    private function finish(
        TokenStream $tokens,
        int $from,
        int $head,
        int $count,
        string $noun,
        string $number,
        StrikeModifiers $modifiers,
    ): StrikePhrase {
        $words = $tokens->words;
        $next = $head + $count;
        $side = $modifiers->side ?? Vocabulary::HANDS[$noun] ?? null;
        if (null === $side && null !== $modifiers->thigh && $this->vocabulary->isOfLeg($noun)) {
            $side = $modifiers->role = $modifiers->thigh;
            $modifiers->targetWord ??= 'leg';
        }
        $targetWord = $modifiers->targetWord ?? Vocabulary::AIMED[$noun] ?? null;
        [$sideAfter, $openTarget, $targetAfter, $secondTarget] = [null, false, null, null];
        while (true) {
            $isOpen =
                '' !== $noun
                && !$modifiers->switch
                && ('with' === ($words[$next] ?? '')
                    || (!isset(Vocabulary::FIXED[$noun]) && !isset(Vocabulary::HANDS[$noun])));
            $after =
                null === $sideAfter && null === $modifiers->side && $isOpen
                    ? $this->sideAfter($tokens, $next, $noun)
                    : null;
            if (null !== $after) {
                [$sideAfter, $next] = $after;
                continue;
            }
            $after =
                null === $targetAfter
                    ? $this->targetAfter($tokens, $next, $noun, null !== $modifiers->targetWord)
                    : null;
            if (null === $after) {
                break;
            }
            [$targetAfter, $next, $openTarget] = $after;
        }
        $lands =
            '' === $number
            && \in_array($words[$next] ?? '', ['landing', 'land'], true)
            && 'forward' === ($words[$next + 1] ?? '');
        $next += $lands ? 2 : 0;
        $word = $words[$next] ?? '';
        $times = $modifiers->times ?? 1;
        if (1 === $times && isset(Vocabulary::REPEATS_AFTER[$word])) {
            $times = Vocabulary::REPEATS_AFTER[$word];
            ++$next;
        } elseif (2 === $times && null !== $targetAfter) {
            $more = $next + (isset(Vocabulary::FILLERS[$word]) ? 1 : 0);
            $second = $this->targetAfter($tokens, $more, $noun);
            if (null !== $second) {
                [$secondTarget, $next] = $second;
            }
        } elseif (
            '' !== $noun
            && isset(Vocabulary::FEINT[$word])
            && '' === ($words[$next + 1] ?? '')
            && null === $tokens->numberAt($next + 1)
        ) {
            $modifiers->feint = true;
            ++$next;
        } elseif (
            '' !== $noun
            && isset(Vocabulary::EFFORTS[$word])
            && '' === ($words[$next + 1] ?? '')
            && null === $tokens->numberAt($next + 1)
        ) {
            $modifiers->effort = Vocabulary::EFFORTS[$word];
            ++$next;
        }
        [$code, $letters] = $this->cut($number);

        return new StrikePhrase(
            noun: $noun,
            code: $code,
            letters: $letters,
            side: $sideAfter ?? $side,
            role: $modifiers->role,
            targetWord: $targetAfter ?? $targetWord,
            effort: $modifiers->effort,
            feint: $modifiers->feint,
            landsForward: $lands,
            times: $times,
            inTurn: $modifiers->plural && null === $modifiers->times,
            switched: $modifiers->switch && !str_starts_with($noun, 'switch '),
            openTarget: $openTarget,
            secondTarget: $secondTarget,
            head: $tokens->span($head, $head + $count),
            span: $tokens->span($from, $next),
            next: $next,
        );
    }

    /**
     * Parses "hook left" or "uppercut with the right": a side after a noun belongs to it unless the next strike needs
     * it more.
     *
     * @return array{Role|Side, int}|null the side, and the place after it
     */
    private function sideAfter(TokenStream $tokens, int $index, string $noun): ?array
    {
        $words = $tokens->words;
        $with = 'with' === ($words[$index] ?? '') ? (isset(Vocabulary::ARTICLES[$words[$index + 1] ?? '']) ? 2 : 1) : 0;
        $side = Vocabulary::SIDES[$words[$index + $with] ?? ''] ?? null;
        if (null === $side) {
            return null;
        }
        $next = $index + $with + 1;
        if ($with > 0) {
            $limb = isset(Vocabulary::LIMBS[$words[$next] ?? '']) ? 1 : 0;
            $follows = $this->parse($tokens, $index + $with);

            return null === $follows || $follows->head->at === $tokens->at($index + $with)?->span->at
                ? [$side, $next + $limb]
                : null;
        }
        if (null !== $this->noun($words, $index)) {
            // "Right hand" is a strike of its own.
            return null;
        }
        $limb = Vocabulary::LIMBS[$words[$next] ?? ''] ?? null;
        if (null !== $limb && $limb !== $this->vocabulary->isOfLeg($noun) && null === $this->noun($words, $next + 1)) {
            // "Front kick, rear leg" without its comma.
            return [$side, $next + 1];
        }
        $move = $this->vocabulary->move($words, $next);
        if (null !== $move && isset($this->vocabulary->bases[$move[0]])) {
            // "Left slip", unless the move has its side after it.
            return isset(Vocabulary::SIDES[$words[$next + $move[1]] ?? '']) ? [$side, $next] : null;
        }
        $follows = $this->parse($tokens, $index);
        if (null === $follows || $follows->head->at === $tokens->at($index)?->span->at) {
            return [$side, $next];
        }
        // The next strike names its own hand or has a side after it, so this side is not for it.
        $asks = isset(Vocabulary::FIXED[$follows->noun])
            ? $this->isOf($side, Vocabulary::FIXED[$follows->noun], $tokens->running)
            : $this->asksForSide($follows->noun) && !isset(Vocabulary::ORGANS[$follows->targetWord ?? '']);

        return !$asks || null !== $this->sideAfter($tokens, $follows->next, $follows->noun) ? [$side, $next] : null;
    }

    /** Tells whether a side can be modifiers of a jab or a cross, as in "right cross". */
    private function isOf(Role|Side $side, Role $role, ?Stance $running): bool
    {
        return $side instanceof Role ? $side === $role : null === $running || $running->roleOf($side) === $role;
    }

    /** Tells whether a noun can be thrown from either side. */
    private function asksForSide(string $noun): bool
    {
        return !isset(Vocabulary::FIXED[$noun])
            && !isset(Vocabulary::HANDS[$noun])
            && !$this->vocabulary->isOneSided($noun);
    }

    /**
     * Parses "body", "to the body" or "to body" after a strike; a bare target that starts the next phrase is left
     * alone.
     *
     * @param bool $isAimed whether the strike has a target before its noun
     *
     * @return array{
     *     string,
     *     int,
     *     bool,
     * }|null the target's word, the place after it, and whether it could be the next strike's as well
     */
    private function targetAfter(TokenStream $tokens, int $index, string $noun, bool $isAimed = false): ?array
    {
        $words = $tokens->words;
        $skip = \in_array($words[$index] ?? '', ['to', 'at'], true) ? 1 : 0;
        $skip += isset(Vocabulary::ARTICLES[$words[$index + $skip] ?? '']) ? 1 : 0;
        $word = $words[$index + $skip] ?? '';
        if (!isset(Vocabulary::TARGETS[$word])) {
            return null;
        }
        if ($skip > 0) {
            return [$word, $index + $skip + 1, false];
        }
        $ofNext = $this->isOfNext($tokens, $index, $noun);
        if ($isAimed && null !== $this->noun($words, $index + 1)) {
            // "Low kick high kick": the strike before has its target already.
            return null;
        }

        return true === $ofNext ? null : [$word, $index + 1, null === $ofNext];
    }

    /**
     * Tells whether a bare target starts the next phrase ("body hook", "leg check", "liver shot") and does not follow
     * its own noun ("hook body").
     *
     * @return bool|null null where it is taken for the noun before it, and could be either's
     */
    private function isOfNext(TokenStream $tokens, int $index, string $before): ?bool
    {
        $words = $tokens->words;
        if (null !== $this->noun($words, $index) || null !== $this->vocabulary->move($words, $index)) {
            return true;
        }
        $noun = $this->noun($words, $index + 1);
        if (null === $noun) {
            // "Body right hook": the side starts the next strike, and the target belongs to the one before.
            return false;
        }
        $after = $index + 1 + $noun[1];
        if (
            isset(Vocabulary::TARGETS[$words[$after] ?? ''])
            && ($noun[0] === $before || true !== $this->isOfNext($tokens, $after, $noun[0]))
        ) {
            return false;
        }
        if ($this->vocabulary->isOfLeg($noun[0])) {
            return true;
        }
        if ($tokens->targetsStandBehind ??= $this->targetsStandBehind($tokens)) {
            return false;
        }
        $straight = static fn (string $noun): bool => \in_array($noun, ['jab', 'cross', 'straight'], true);

        return $straight($noun[0]) && !$straight($before) && '' !== $before ? null : true;
    }

    /** Tells whether the line clearly puts targets after nouns, "jab head, cross body", and never before one. */
    private function targetsStandBehind(TokenStream $tokens): bool
    {
        $words = $tokens->words;
        $behind = false;
        foreach ($words as $index => $word) {
            if (!isset(Vocabulary::TARGETS[$word])) {
                continue;
            }
            $begins = '' === ($words[$index - 1] ?? '') || isset(Vocabulary::SIDES[$words[$index - 1]]);
            $noun = $this->noun($words, $index + 1);
            if ($begins && null !== $noun && !$this->vocabulary->isOfLeg($noun[0])) {
                return false;
            }
            $behind =
                $behind || (!$begins && '' === ($words[$index + 1] ?? '') && null === $tokens->numberAt($index + 1));
        }

        return $behind;
    }

    /**
     * Parses a side with its limb, if named: "left", "lead leg", "back hand".
     *
     * @param list<string> $words
     *
     * @return array{Role|Side, int}|null the side, and how many words it takes
     */
    private function limb(array $words, int $index): ?array
    {
        $word = $words[$index] ?? '';
        $limb = $words[$index + 1] ?? '';
        $side = Vocabulary::SIDES[$word] ?? ('back' === $word && isset(Vocabulary::LIMBS[$limb]) ? Role::Rear : null);
        if (null === $side || !isset(Vocabulary::LIMBS[$limb])) {
            return null === $side ? null : [$side, 1];
        }
        $noun =
            $this->noun($words, $index + 2)
            ?? ('switch' === ($words[$index + 2] ?? '') ? $this->noun($words, $index + 3) : null);
        $named =
            null !== $noun
            && ('kick' !== $noun[0] || 'foot' === $limb)
            && $this->vocabulary->isOfLeg($noun[0]) !== Vocabulary::LIMBS[$limb];

        return [$side, $named || !isset(Vocabulary::TARGETS[$limb]) ? 2 : 1];
    }

    /**
     * Tells whether a bare side is complete, so that the next word starts another strike.
     *
     * @param list<string> $words
     */
    private function beginsAnother(array $words, int $index, Role|Side $side): bool
    {
        $next = $this->limb($words, $index);

        // "Lead left hook" names one side in two ways.
        return null !== $next && $next[0]::class === $side::class;
    }

    /** @param list<string> $words */
    private function isMoveOfThatSide(array $words, int $index, int $side): bool
    {
        $move = $index === $side + 1 ? $this->vocabulary->move($words, $index) : null;

        return null !== $move
            && (isset($this->vocabulary->bases[$move[0]]) || $this->vocabulary->goesToASide($move[0]));
    }

    /**
     * Before a straight noun, "straight" describes the manner and is no strike.
     *
     * @param list<string> $words
     * @param array{string, int, bool} $found
     */
    private function isManner(array $words, int $index, array $found): bool
    {
        if ('straight' !== $found[0] || $found[2]) {
            return false;
        }
        $next = $this->noun($words, $index + 1);

        return null !== $next && isset(Vocabulary::STRAIGHT_ONES[$next[0]]);
    }

    /**
     * @param list<string> $words
     *
     * @return array{
     *     string,
     *     int,
     *     bool,
     * }|null the longest noun that begins there, how many words it takes, and whether it is in the plural
     */
    private function noun(array $words, int $index): ?array
    {
        $found = $this->vocabulary->noun($words, $index);
        $named = $this->namedLimb($words, $index, $found);

        return $named
            ? null
            : ((null === $found || 1 === $found[1]) && isset($this->more[$words[$index] ?? ''])
                ? [$words[$index], 1, str_ends_with($words[$index], 's')]
                : $found);
    }

    /**
     * In "left hand hook" the hand is the limb of the hook and no strike of its own.
     *
     * @param list<string> $words
     * @param array{string, int, bool}|null $found
     */
    private function namedLimb(array $words, int $index, ?array $found): bool
    {
        if (null === $found || !isset(Vocabulary::HANDS[$found[0]]) || 'hand' !== ($words[$index + 1] ?? '')) {
            return false;
        }
        $next = $this->vocabulary->noun($words, $index + 2);

        return null !== $next
            && !isset(Vocabulary::FIXED[$next[0]])
            && !isset(Vocabulary::HANDS[$next[0]])
            && !$this->vocabulary->isOfLeg($next[0]);
    }
}
