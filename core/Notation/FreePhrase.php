<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Target;

/** A phrase for free strikes: "any 3 strikes", "three hard punches of your choice", "any two of". */
final readonly class FreePhrase
{
    /**
     * @param int $next place of the token after it
     * @param bool $names the strikes to choose from follow
     * @param bool $isCounted a number was said, or one strike in the singular
     */
    private function __construct(
        public int $count,
        public ?Target $target,
        public Effort $effort,
        public bool $names,
        public bool $isCounted,
        public Span $span,
        public int $next,
    ) {
    }

    /** Returns the phrase at that position without consuming it, or null. */
    public static function at(TokenStream $tokens, int $index): ?self
    {
        $words = $tokens->words;
        $word = $words[$index] ?? '';
        if ('freestyle' === $word) {
            return self::of($tokens, $index, null, Effort::Plain, $index + 1);
        }
        $isChoice = isset(Vocabulary::CHOICE[$word]);
        $count = $tokens->numberAt($isChoice ? $index + 1 : $index);
        if ((null !== $count && !ctype_digit($count)) || (!$isChoice && null === $count)) {
            return null;
        }
        $next = $index + ($isChoice ? 1 : 0) + (null === $count ? 0 : 1);
        $effort = Effort::Plain;
        $isFree = $isChoice;
        $isNamed = false;
        for (; '' !== ($word = $words[$next] ?? ''); ++$next) {
            if (isset(Vocabulary::EFFORTS[$word]) && self::goesOn($words, $next, $isNamed || null !== $count)) {
                $effort = Vocabulary::EFFORTS[$word];
            } elseif ('free' === $word) {
                $isFree = true;
            } elseif (isset(Vocabulary::FREE[$word]) && !$isNamed) {
                $isNamed = true;
            } else {
                break;
            }
        }
        if ($isChoice && 'of' === $word) {
            return new self(
                count: (int) ($count ?? 1),
                target: null,
                effort: $effort,
                names: true,
                isCounted: null !== $count,
                span: $tokens->span($index, $next + 1),
                next: $next + 1,
            );
        }
        $aim = $next + self::toThe($words, $next);
        if (!$isFree && isset(Vocabulary::TARGETS[$words[$aim] ?? '']) && 'free' === ($words[$aim + 1] ?? '')) {
            // "Five to the body of your choice".
            return new self(
                count: (int) $count,
                target: Vocabulary::TARGETS[$words[$aim]],
                effort: $effort,
                names: false,
                isCounted: true,
                span: $tokens->span($index, $aim + 2),
                next: $aim + 2,
            );
        }
        $isAlone = 'free' === $words[$index] && '' === $word && null === $tokens->numberAt($next);
        if (!$isFree || (null === $count && !$isNamed && !$isAlone)) {
            return null;
        }

        return self::of($tokens, $index, $count, $effort, $next);
    }

    /**
     * Tells whether an effort belongs to the free strikes and not to the strike after it.
     *
     * @param list<string> $words
     */
    private static function goesOn(array $words, int $index, bool $isCounted): bool
    {
        $next = $words[$index + 1] ?? '';

        return isset(Vocabulary::FREE[$next]) || 'free' === $next || ($isCounted && \in_array($next, ['', 'of'], true));
    }

    /**
     * Returns how many words "to the" has there.
     *
     * @param list<string> $words
     */
    private static function toThe(array $words, int $index): int
    {
        return 'to' === ($words[$index] ?? '') ? (isset(Vocabulary::ARTICLES[$words[$index + 1] ?? '']) ? 2 : 1) : 0;
    }

    private static function of(TokenStream $tokens, int $from, ?string $count, Effort $effort, int $next): self
    {
        $words = $tokens->words;
        $skip = self::toThe($words, $next);
        $target = Vocabulary::TARGETS[$words[$next + $skip] ?? ''] ?? null;
        if (null !== $target && ($skip > 0 || '' === ($words[$next + 1] ?? ''))) {
            $next += $skip + 1;
        } else {
            $target = null;
        }

        return new self(
            count: (int) ($count ?? 1),
            target: $target,
            effort: $effort,
            names: false,
            isCounted: null !== $count || \in_array($words[$next - 1] ?? '', ['strike', 'punch', 'shot'], true),
            span: $tokens->span($from, $next),
            next: $next,
        );
    }
}
