<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A phrase for free strikes: "any 3 strikes", "three free punches to the body". */
final readonly class FreePhrase
{
    /**
     * @param string $count as it was said, with the letter of the target if there is one: "3", "3b"
     * @param int $next place of the token after it
     */
    private function __construct(public string $count, public Span $span, public int $next)
    {
    }

    /** Returns the phrase at that position without consuming it, or null. */
    public static function at(TokenStream $tokens, int $index): ?self
    {
        $words = $tokens->words;
        $isChoice = isset(Vocabulary::CHOICE[$words[$index] ?? '']);
        if (
            !$isChoice
            && (!isset(Vocabulary::CHOICE[$words[$index + 1] ?? '']) || null === $tokens->numberAt($index))
        ) {
            return null;
        }
        $count = $tokens->numberAt($isChoice ? $index + 1 : $index);
        $next = $index + (null === $count ? 1 : 2);
        if ('free' === ($words[$next] ?? '')) {
            ++$next;
        }
        $isNamed = isset(Vocabulary::FREE[$words[$next] ?? '']);
        if (null === $count && !$isNamed) {
            return null;
        }
        $next += $isNamed ? 1 : 0;
        $skip = 'to' === ($words[$next] ?? '') ? (isset(Vocabulary::ARTICLES[$words[$next + 1] ?? '']) ? 2 : 1) : 0;
        $target = Vocabulary::TARGETS[$words[$next + $skip] ?? ''] ?? null;
        if (null !== $target && ($skip > 0 || '' === ($words[$next + 1] ?? ''))) {
            $next += $skip + 1;
        } else {
            $target = null;
        }

        return new self(($count ?? '1').$target?->value, $tokens->span($index, $next), $next);
    }
}
