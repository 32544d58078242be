<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/**
 * Reads what is said of one strike: how often, how hard, feinted, which side and target, the noun or number, and what
 * stands after it. The chain and the search both read their strikes with it. It looks, and takes nothing.
 */
final readonly class StrikePhraseParser
{
    /** @param array<string, mixed> $more single words that are nouns here as well, and go before the vocabulary's own single words */
    public function __construct(private Vocabulary $vocabulary, private array $more = [])
    {
    }

    /** @param int $from place of the first token */
    public function parse(TokenStream $tokens, int $from): ?StrikePhrase
    {
        $times = Vocabulary::REPEATS[$tokens->words[$from] ?? ''] ?? null;
        [$side, $targetWord, $effort, $feint, $switch] = [null, null, Effort::Plain, false, false];
        for ($at = null === $times ? $from : $from + 1;; ++$at) {
            $token = $tokens->at($at);
            if (TokenKind::Number === $token?->kind) {
                // Before a number only these words say anything.
                return null === $side && null === $targetWord && !$switch
                    ? $this->finish($tokens, $from, $at, 1, '', $token->text, null, null, $effort, $feint, $times ?? 1)
                    : null;
            }
            $word = $tokens->words[$at] ?? '';
            $found = $this->noun($tokens->words, $at);
            if (null !== $found) {
                [$noun, $count] = $found;
                $noun = $switch ? 'switch '.$noun : $noun;

                return $switch && !isset($this->vocabulary->nouns[$noun]) ? null
                    : $this->finish($tokens, $from, $at, $count, $noun, '', $side ?? Vocabulary::HANDS[$noun] ?? null, $targetWord ?? Vocabulary::AIMED[$noun] ?? null, $effort, $feint, $times ?? 1);
            }
            if (isset(Vocabulary::SIDES[$word])) {
                $side = Vocabulary::SIDES[$word];
            } elseif (isset(Vocabulary::TARGETS[$word])) {
                $targetWord = $word;
            } elseif (isset(Vocabulary::FEINT[$word])) {
                $feint = true;
            } elseif (isset(Vocabulary::EFFORTS[$word])) {
                $effort = Vocabulary::EFFORTS[$word];
            } elseif ('switch' === $word && !$switch) {
                $switch = true;
            } else {
                return null;
            }
        }
    }

    /**
     * What may stand after the noun or number: a side, a target, "landing forward".
     *
     * @param string|null $targetWord a key of {@see Vocabulary::TARGETS}
     */
    private function finish(TokenStream $tokens, int $from, int $head, int $count, string $noun, string $number, Role|Side|null $side, ?string $targetWord, Effort $effort, bool $feint, int $times): StrikePhrase
    {
        $next = $head + $count;
        // "straight left" and "overhand right", unless that side begins the next strike.
        $sideAfter = null === $side && isset(Vocabulary::SIDE_AFTER[$noun]) ? Vocabulary::SIDES[$tokens->words[$next] ?? ''] ?? null : null;
        if (null !== $sideAfter && null === $this->parse($tokens, $next)) {
            $side = $sideAfter;
            ++$next;
        }
        $after = $this->targetAfter($tokens->words, $next);
        if (null !== $after) {
            [$targetWord, $next] = $after;
        }
        $lands = '' === $number && \in_array($tokens->words[$next] ?? '', ['landing', 'land'], true) && 'forward' === ($tokens->words[$next + 1] ?? '');
        $next += $lands ? 2 : 0;

        $digits = strcspn($number, '0123456789');
        $digits += strspn($number, '0123456789', $digits);

        return new StrikePhrase(
            $noun,
            substr($number, 0, $digits),
            substr($number, $digits),
            $side,
            null === $targetWord ? null : Vocabulary::TARGETS[$targetWord],
            'low' === $targetWord,
            $effort,
            $feint,
            $lands,
            $times,
            $tokens->span($head, $head + $count),
            $tokens->span($from, $next),
            $next,
        );
    }

    /**
     * "body", "to the body", "to body" after a strike; a bare target that begins something of its own is left alone.
     *
     * @param list<string> $words
     *
     * @return array{string, int}|null the target's word, and the place after it
     */
    private function targetAfter(array $words, int $at): ?array
    {
        $skip = 'to' === ($words[$at] ?? '') ? ('the' === ($words[$at + 1] ?? '') ? 2 : 1) : 0;
        $word = $words[$at + $skip] ?? '';
        if (!isset(Vocabulary::TARGETS[$word]) || (0 === $skip && $this->isOfNext($words, $at))) {
            return null;
        }

        return [$word, $at + $skip + 1];
    }

    /**
     * Whether a bare target there begins what comes next, "body hook", "leg check" or "liver shot": not so when the noun
     * after it has a bare target of its own after it, "hook body hook head".
     *
     * @param list<string> $words
     */
    private function isOfNext(array $words, int $at): bool
    {
        if (null !== $this->noun($words, $at) || null !== $this->vocabulary->move($words, $at)) {
            return true;
        }
        $noun = $this->noun($words, $at + 1);
        if (null === $noun) {
            return false;
        }
        $after = $at + 1 + $noun[1];

        return !isset(Vocabulary::TARGETS[$words[$after] ?? '']) || $this->isOfNext($words, $after);
    }

    /**
     * @param list<string> $words
     *
     * @return array{string, int}|null the longest noun that begins there, and how many words it takes
     */
    private function noun(array $words, int $at): ?array
    {
        $found = $this->vocabulary->noun($words, $at);

        return (null === $found || 1 === $found[1]) && isset($this->more[$words[$at] ?? '']) ? [$words[$at], 1] : $found;
    }
}
