<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/**
 * Finds the target that is said after a strike, as in "hook body" or "jab to the body", and decides whether a bare
 * target belongs to that strike or to the next.
 *
 * @internal to {@see StrikePhraseParser}
 */
final readonly class TargetAfterNoun
{
    public function __construct(private Vocabulary $vocabulary, private NounFinder $nouns)
    {
    }

    /**
     * Parses "body", "to the body" or "to body" after a strike; a bare target that starts the next phrase is left
     * alone.
     *
     * @param bool $isAimed whether the strike has a target before its noun
     */
    public function find(TokenStream $tokens, int $index, string $noun, bool $isAimed = false): ?FoundTarget
    {
        $words = $tokens->words;
        $skip = \in_array($words[$index] ?? '', ['to', 'at', 'into', 'in', 'on'], true) ? 1 : 0;
        $hasArticle = isset(Vocabulary::ARTICLES[$words[$index + $skip] ?? '']);
        $skip += $hasArticle ? 1 : 0;
        if (
            $hasArticle
            && isset(Vocabulary::SIDES[$words[$index + $skip] ?? ''])
            && 'leg' === ($words[$index + $skip + 1] ?? '')
            && $this->vocabulary->isOfLeg($noun)
        ) {
            // "Kick his lead leg": the leg of the opponent.
            return new FoundTarget('leg', $index + $skip + 2, false);
        }
        $word = $words[$index + $skip] ?? '';
        $isHeight = isset(Vocabulary::HEIGHTS[$word]) && \in_array('up' === $word ? 'down' : 'up', $words, true);
        if (0 === $skip && $isHeight) {
            // "One up, two down".
            return new FoundTarget('up' === $word ? 'upstairs' : 'downstairs', $index + 1, false);
        }
        if (!isset(Vocabulary::TARGETS[$word])) {
            return null;
        }
        if ($skip > 0) {
            return new FoundTarget($word, $index + $skip + 1, false);
        }
        $ofNext = $this->isOfNext($tokens, $index, $noun);
        if ($isAimed && null !== $this->nouns->noun($words, $index + 1)) {
            // "Low kick high kick": the strike before has its target already.
            return null;
        }

        return true === $ofNext ? null : new FoundTarget($word, $index + 1, null === $ofNext);
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
        if (null !== $this->nouns->noun($words, $index) || null !== $this->vocabulary->move($words, $index)) {
            return true;
        }
        $noun = $this->nouns->noun($words, $index + 1);
        if (null === $noun) {
            // "Body right hook": the side starts the next strike, and the target belongs to the one before.
            return false;
        }
        $after = $index + 1 + $noun->count;
        if (
            isset(Vocabulary::TARGETS[$words[$after] ?? ''])
            && ($noun->name === $before || true !== $this->isOfNext($tokens, $after, $noun->name))
        ) {
            return false;
        }
        if ($this->vocabulary->isOfLeg($noun->name)) {
            return true;
        }
        if ($tokens->targetsStandBehind ??= $this->targetsStandBehind($tokens)) {
            return false;
        }
        $straight = static fn (string $noun): bool => \in_array($noun, ['jab', 'cross', 'straight'], true);

        return $straight($noun->name) && !$straight($before) && '' !== $before ? null : true;
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
            $noun = $this->nouns->noun($words, $index + 1);
            if ($begins && null !== $noun && !$this->vocabulary->isOfLeg($noun->name)) {
                return false;
            }
            $behind =
                $behind || (!$begins && '' === ($words[$index + 1] ?? '') && null === $tokens->numberAt($index + 1));
        }

        return $behind;
    }
}
