<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Target;

/**
 * Parses a phrase for one strike: how often, how hard, feinted, side, target, the noun or number, and what follows it.
 * The chain and the search both use it. It looks ahead and consumes nothing.
 */
final readonly class StrikePhraseParser
{
    /** The family of a side without a noun: "left, right" are two straights. */
    public const BARE_SIDE = 'straight';

    private NounFinder $nouns;
    private SideAfterNoun $sideAfter;
    private TargetAfterNoun $targetAfter;

    /**
     * @param array<string, mixed> $more single words that are nouns here as well, and go before the vocabulary's own
     *                                   single words
     */
    public function __construct(private Vocabulary $vocabulary, array $more = [])
    {
        $this->nouns = new NounFinder($vocabulary, $more);
        $this->sideAfter = new SideAfterNoun($vocabulary, $this->nouns, $this);
        $this->targetAfter = new TargetAfterNoun($vocabulary, $this->nouns);
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
        $index += null !== $modifiers->times && isset(Vocabulary::ARTICLES[$words[$index] ?? '']) ? 1 : 0;
        $bare = null;
        while (true) {
            $token = $tokens->at($index);
            $word = $words[$index] ?? '';
            if (TokenKind::Number === $token?->kind && null === $bare) {
                return $this->number($tokens, $from, $index, $modifiers);
            }
            $found = $this->nouns->noun($words, $index);
            if (null !== $found && !$this->isManner($words, $index, $found)) {
                $modifiers->plural = $found->plural;

                return $this->afterSwitch($tokens, $from, $index, $found, $modifiers);
            }
            if (null !== $bare && null !== $modifiers->side && $this->beginsAnother($words, $index, $modifiers->side)) {
                $second = isset(Vocabulary::SIDES[$words[$bare - 1] ?? '']) ? null : $this->parse($tokens, $index);
                if (true === $second?->inTurn && $second->head->at > ($tokens->at($index)->span->at ?? 0)) {
                    // "Left right hooks" is one of each.
                    return $this->oneOfEach($tokens, $from, $bare, $second, $modifiers);
                }

                return $this->finish($tokens, $from, $bare, 1, self::BARE_SIDE, '', $modifiers);
            }
            if (null !== $bare && $this->isMoveOfThatSide($tokens, $index, $bare)) {
                // "Left leg check" and "left slip".
                return null;
            }
            if (
                ('to' === $word || isset(Vocabulary::ARTICLES[$word]) || isset(Vocabulary::TARGETS[$word]))
                && null === $bare
                && null === $modifiers->targetWord
                && null !== ($aimed = $this->aimedBefore($words, $index))
            ) {
                [$modifiers->targetWord, $index] = [$aimed->word, $aimed->next];
                continue;
            }
            $side = $this->nouns->side($words, $index);
            if (null !== $side) {
                $modifiers->setSide($side->side);
                $bare = $index;
                $index = $side->next;
            } elseif (isset(Vocabulary::TARGETS[$word])) {
                if ('leg' === $modifiers->targetWord && $bare === $index - 2 && 'leg' === $words[$index - 1]) {
                    // "Left leg high": the leg is the limb.
                    $modifiers->targetWord = null;
                }
                if (
                    null === $modifiers->targetWord
                    && 'and' === ($words[$index + 1] ?? '')
                    && isset(Vocabulary::TARGETS[$words[$index + 2] ?? ''])
                    && $this->isPluralAhead($words, $index + 3)
                ) {
                    // "High and low kicks".
                    [$modifiers->targetWord, $modifiers->secondTarget] = [$word, $words[$index + 2]];
                    $index += 3;
                    continue;
                }
                $before = Vocabulary::TARGETS[$modifiers->targetWord ?? $word];
                if (Vocabulary::TARGETS[$word] !== $before) {
                    if (null !== $modifiers->secondTarget || !$this->isPluralAhead($words, $index + 1)) {
                        // "Body, head hook" without its comma.
                        return null;
                    }
                    $modifiers->secondTarget = $word;
                } else {
                    $modifiers->targetWord = $word;
                }
                ++$index;
            } elseif (isset(Vocabulary::FEINT[$word])) {
                $modifiers->feint = true;
                ++$index;
            } elseif (isset(Vocabulary::EFFORTS[$word])) {
                $modifiers->effort = Vocabulary::EFFORTS[$word];
                $modifiers->effortLeads = true;
                ++$index;
            } elseif (isset(Vocabulary::SAME_HAND[$word]) && self::isLimbOrSide($words[$index + 1] ?? '')) {
                $modifiers->sameHand = Vocabulary::SAME_HAND[$word];
                $index += 2;
            } elseif (isset(Vocabulary::THIGHS[$word])) {
                $modifiers->thigh = Vocabulary::THIGHS[$word];
                ++$index;
            } elseif ('switch' === $word && !$modifiers->switch) {
                $modifiers->switch = true;
                ++$index;
            } elseif (
                isset(Vocabulary::MANNERS[$word])
                || null !== $found
                || (\in_array($word, ['on', 'with'], true) && $modifiers->effortLeads)
                || ($index > $from
                    && isset(Vocabulary::ARTICLES[$word])
                    && ($modifiers->feint || Effort::Plain !== $modifiers->effort))
            ) {
                // "Straight" before a straight noun is a manner, and "the" in "feint the jab" nothing.
                if (!isset(Vocabulary::ARTICLES[$word]) && !\in_array($word, ['on', 'with'], true)) {
                    $modifiers->passedOver[] = $tokens->span($index, $index + 1);
                }
                ++$index;
            } else {
                // A side without a noun is a straight of that hand, or a kick of that leg.
                $stands = null !== $bare && !$modifiers->switch;
                $both =
                    $stands
                    && ('and' === $word || TokenKind::Stop === $token?->kind)
                    && isset(Vocabulary::SIDES[$words[$index + 1] ?? ''])
                    && ('and' === $word || $this->isPluralWithin($words, $index + 2))
                        ? $this->parse($tokens, $index + 1)
                        : null;
                $sharesTarget =
                    'and' === $word
                    && self::BARE_SIDE === $both?->noun
                    && null !== $both->targetWord
                    && $both->head->at === ($tokens->at($index + 1)->span->at ?? -1);
                if (true === $both?->inTurn || $sharesTarget) {
                    return $this->oneOfEach($tokens, $from, $bare, $both, $modifiers);
                }

                $limb = $words[(int) $bare + 1] ?? '';
                // "The leg with the right" is a kick, too.
                $isLeg = $stands && 'leg' === $limb;
                $isAimedAtLeg =
                    $stands
                    && null !== $modifiers->targetWord
                    && 'low' !== $modifiers->targetWord
                    && Target::Leg === Vocabulary::TARGETS[$modifiers->targetWord];
                if ($stands && 'foot' === $limb) {
                    return null;
                }
                if ($isLeg && 'leg' === $modifiers->targetWord) {
                    $modifiers->targetWord = null;
                }

                return $stands
                    ? $this->finish(
                        $tokens,
                        $from,
                        $bare,
                        $isLeg ? 2 : 1,
                        $isLeg || $isAimedAtLeg ? 'kick' : self::BARE_SIDE,
                        '',
                        $modifiers,
                    )
                    : null;
            }
        }
    }

    /** Parses a number without any words, the usual case. */
    private function numberAlone(Token $token, int $index): StrikePhrase
    {
        $number = new WrittenNumber($token->text);

        return new StrikePhrase(
            head: $token->span,
            span: $token->span,
            next: $index + 1,
            code: $number->code,
            letters: $number->letters,
        );
    }

    /**
     * Tells whether a noun in the plural comes: "body head hooks".
     *
     * @param list<string> $words
     */
    private function isPluralAhead(array $words, int $index): bool
    {
        return true === $this->nouns->noun($words, $index)?->plural;
    }

    /**
     * Tells whether a noun in the plural comes soon, which may be that of a side before: "left low, right high kicks".
     *
     * @param list<string> $words
     */
    private function isPluralWithin(array $words, int $index): bool
    {
        return $this->vocabulary->isPlural($words[$index] ?? '')
            || $this->vocabulary->isPlural($words[$index + 1] ?? '');
    }

    /** Returns the first of "left and right hooks to the body", which is one of each, both to the body. */
    private function oneOfEach(
        TokenStream $tokens,
        int $from,
        int $bare,
        StrikePhrase $second,
        StrikeModifiers $modifiers,
    ): StrikePhrase {
        $modifiers->targetWord ??= $second->targetWord;

        return $this->finish($tokens, $from, $bare, 1, $second->noun, '', $modifiers);
    }

    /**
     * Finds the target in "to the body with the cross" and "the body with the cross".
     *
     * @param list<string> $words
     */
    private function aimedBefore(array $words, int $index): ?FoundTarget
    {
        $index += 'to' === $words[$index] ? 1 : 0;
        $index += isset(Vocabulary::ARTICLES[$words[$index] ?? '']) ? 1 : 0;
        $word = $words[$index] ?? '';
        if (!isset(Vocabulary::TARGETS[$word]) || 'with' !== ($words[$index + 1] ?? '')) {
            return null;
        }
        $next = $index + 2 + (isset(Vocabulary::ARTICLES[$words[$index + 2] ?? '']) ? 1 : 0);

        return new FoundTarget($word, $next, false);
    }

    /** Before a number only a few words are allowed; a number before a plural counts it: "three jabs". */
    private function number(TokenStream $tokens, int $from, int $index, StrikeModifiers $modifiers): ?StrikePhrase
    {
        $text = $tokens->at($index)->text ?? '';
        if (null !== $modifiers->side || null !== $modifiers->secondTarget || $modifiers->switch) {
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

        return $phrase->with(
            times: $times,
            inTurn: ($phrase->bothSides || !$alike) && $times > 1,
            span: $tokens->span($index, $phrase->next),
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
        FoundNoun $found,
        StrikeModifiers $modifiers,
    ): ?StrikePhrase {
        [$noun, $count] = [$found->name, $found->count];
        if ($modifiers->switch && isset($this->vocabulary->nouns['switch '.$noun])) {
            return $this->finish($tokens, $from, $head, $count, 'switch '.$noun, '', $modifiers);
        }
        if ($modifiers->switch && (!$this->vocabulary->isOfLeg($noun) || null !== $modifiers->side)) {
            return null;
        }
        $modifiers->side ??= $modifiers->switch ? Role::Rear : null;

        return $this->finish($tokens, $from, $head, $count, $noun, '', $modifiers);
    }

    private static function isLimbOrSide(string $word): bool
    {
        return isset(Vocabulary::LIMBS[$word]) || 'side' === $word;
    }

    /**
     * Tells whether "left and right" stands there, and the second side is not that of the next strike.
     *
     * @param list<string> $words
     */
    private function bothSides(array $words, int $index): bool
    {
        return isset(Vocabulary::SIDES[$words[$index] ?? ''])
            && 'and' === ($words[$index + 1] ?? '')
            && isset(Vocabulary::SIDES[$words[$index + 2] ?? ''])
            && null === $this->nouns->noun($words, $index + 2)
            && null === $this->nouns->noun($words, $index + 3);
    }

    /**
     * Returns how many words "with the same hand" has there; 0 when it is not said.
     *
     * @param list<string> $words
     */
    private static function sameHand(array $words, int $index): int
    {
        $skip = 'with' === ($words[$index] ?? '') ? 1 : 0;
        $skip += isset(Vocabulary::ARTICLES[$words[$index + $skip] ?? '']) ? 1 : 0;

        return isset(Vocabulary::SAME_HAND[$words[$index + $skip] ?? ''])
            && self::isLimbOrSide($words[$index + $skip + 1] ?? '')
            && ($skip > 0 || \in_array($words[$index + 2] ?? '', ['', 'then', 'and', 'leg-up'], true))
            ? $skip + 2
            : 0;
    }

    /** Returns where the foot comes down as said at that place, in two words. */
    public static function landing(TokenStream $tokens, int $index): Landing
    {
        return 'landing' !== ($tokens->words[$index] ?? '')
            ? Landing::Back
            : match ($tokens->words[$index + 1] ?? '') {
                'forward' => Landing::Forward,
                'behind' => Landing::Behind,
                'halfway' => Landing::HalfWay,
                default => Landing::Back,
            };
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
        $hand = $this->vocabulary->hands[$noun] ?? null;
        $side = $modifiers->side ?? $hand;
        $passedOver = $modifiers->passedOver;
        if ($modifiers->side instanceof Role && $hand instanceof Side && str_ends_with($noun, ' hand')) {
            // "Lead right hand" is that hand, thrown first.
            $side = $hand;
            $passedOver[] = $tokens->span($from, $head);
        }
        if (null === $side && null !== $modifiers->thigh && $this->vocabulary->isOfLeg($noun)) {
            $side = $modifiers->role = $modifiers->thigh;
            $modifiers->targetWord ??= 'leg';
        }
        $targetWord = $modifiers->targetWord ?? $this->vocabulary->aimed[$noun] ?? null;
        [$sideAfter, $openTarget, $targetAfter, $sameAfter] = [null, false, null, null];
        [$secondTarget, $bothSides] = [$modifiers->secondTarget, false];
        // Most phrases end at a comma or at the end of the line.
        while ('' !== ($words[$next] ?? '')) {
            if ('straight' === $words[$next] && isset(Vocabulary::LEADS_ON[$words[$next + 1] ?? ''])) {
                // "Straight" says in which manner the strike goes there or the next one follows.
                $passedOver[] = $tokens->span($next, $next + 1);
                ++$next;
                continue;
            }
            if (
                isset(Vocabulary::EFFORTS[$words[$next]])
                && \in_array($words[$next + 1] ?? '', ['to', 'at', 'into'], true)
                && null !== $this->targetAfter->find($tokens, $next + 1, $noun)
            ) {
                // "Hook hard to the body".
                $modifiers->effort = Vocabulary::EFFORTS[$words[$next]];
                ++$next;
                continue;
            }
            $same = '' === $noun ? 0 : self::sameHand($words, $next);
            if ($same > 0 && null === $sameAfter) {
                $sameAfter = Vocabulary::SAME_HAND[$words[$next + $same - 2]];
                $next += $same;
                continue;
            }
            if ($modifiers->plural && null === $modifiers->side && $this->bothSides($words, $next)) {
                // "Hooks left and right".
                [$sideAfter, $bothSides, $next] = [Vocabulary::SIDES[$words[$next]], true, $next + 3];
                continue;
            }
            $isOpen =
                '' !== $noun
                && !$modifiers->switch
                && ('with' === $words[$next]
                    || (!isset($this->vocabulary->fixed[$noun]) && !isset($this->vocabulary->hands[$noun])));
            $after =
                null === $sideAfter && null === $modifiers->side && $isOpen
                    ? $this->sideAfter->find($tokens, $next, $noun)
                    : null;
            if (null !== $after) {
                [$sideAfter, $next] = [$after->side, $after->next];
                continue;
            }
            $after =
                null === $targetAfter
                    ? $this->targetAfter->find($tokens, $next, $noun, null !== $modifiers->targetWord)
                    : null;
            if (null === $after) {
                break;
            }
            [$targetAfter, $next, $openTarget] = [$after->word, $after->next, $after->isOpen];
        }
        $landing = self::landing($tokens, $next);
        $next += Landing::Back === $landing ? 0 : 2;
        $legUp = 'leg-up' === ($words[$next] ?? '');
        $next += $legUp ? 1 : 0;
        $word = $words[$next] ?? '';
        $times = $modifiers->times ?? 1;
        $repeated = 1 === $times && isset(Vocabulary::REPEATS_AFTER[$word]);
        if ($repeated) {
            $times = Vocabulary::REPEATS_AFTER[$word];
            ++$next;
        } elseif (2 === $times && null !== $targetAfter) {
            $more = $next + (isset(Vocabulary::FILLERS[$word]) ? 1 : 0);
            $second = $this->targetAfter->find($tokens, $more, $noun);
            if (null !== $second) {
                [$secondTarget, $next] = [$second->word, $second->next];
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
        $written = '' === $number ? null : new WrittenNumber($number);

        return new StrikePhrase(
            noun: $noun,
            code: $written->code ?? '',
            letters: $written->letters ?? '',
            side: $sideAfter ?? $side,
            role: $modifiers->role,
            targetWord: $targetAfter ?? $targetWord,
            effort: $modifiers->effort,
            feint: $modifiers->feint,
            landing: $landing,
            times: $times,
            inTurn: $modifiers->plural && null === $modifiers->times,
            switched: $modifiers->switch && !str_starts_with($noun, 'switch '),
            openTarget: $openTarget,
            secondTarget: $secondTarget,
            legUp: $legUp,
            sameHand: $modifiers->sameHand ?? $sameAfter,
            repeated: $repeated,
            effortLeads: $modifiers->effortLeads,
            passedOver: $passedOver,
            bothSides: $bothSides,
            head: $tokens->span($head, $head + $count),
            span: $tokens->span($from, $next),
            next: $next,
        );
    }

    /**
     * Tells whether a bare side is complete, so that the next word starts another strike.
     *
     * @param list<string> $words
     */
    private function beginsAnother(array $words, int $index, Role|Side $side): bool
    {
        $next = $this->nouns->side($words, $index);

        // "Lead left hook" names one side in two ways.
        return null !== $next && $next->side::class === $side::class;
    }

    private function isMoveOfThatSide(TokenStream $tokens, int $index, int $side): bool
    {
        $move = $index === $side + 1 ? $this->vocabulary->move($tokens->words, $index) : null;

        return null !== $move && !$this->isPunchBefore($tokens, $side, $move);
    }

    /**
     * Tells whether the side before a move is a punch of its own: "left right slip", "right slip left", "right duck".
     *
     * @param int $side place of the side
     */
    public function isPunchBefore(TokenStream $tokens, int $side, FoundMove $move): bool
    {
        $words = $tokens->words;
        if (isset(Vocabulary::SIDES[$words[$side - 1] ?? ''])) {
            return true;
        }
        if (!isset($this->vocabulary->bases[$move->name]) && !$this->vocabulary->goesToASide($move->name)) {
            return true;
        }
        if ($move->count > 1 && isset($this->vocabulary->nouns[$words[$side - 1] ?? ''])) {
            // "Left hook right step out": a step of two words takes its side behind them.
            return true;
        }
        $after = $side + 1 + $move->count;
        if (!isset(Vocabulary::SIDES[$words[$after] ?? ''])) {
            return false;
        }
        $strike = $this->parse($tokens, $after);

        return null === $strike || ($strike->next === $after + 1 && self::BARE_SIDE === $strike->noun);
    }

    /**
     * Before a straight noun, "straight" describes the manner and is no strike.
     *
     * @param list<string> $words
     */
    private function isManner(array $words, int $index, FoundNoun $found): bool
    {
        if ('straight' !== $found->name || $found->plural) {
            return false;
        }
        $next = $this->nouns->noun($words, $index + 1);

        return null !== $next && isset($this->vocabulary->straightOnes[$next->name]);
    }
}
