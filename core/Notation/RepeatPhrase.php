<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A repetition of the strike before: "x2", "x 2", "3 times". */
final readonly class RepeatPhrase
{
    /** @param int $next place of the token after it */
    private function __construct(public int $times, public int $next)
    {
    }

    /**
     * Returns the phrase at that position without consuming it, or null. If the numbering has a number X2, it is that
     * number.
     */
    public static function at(TokenStream $tokens, int $index, Numbering $numbering): ?self
    {
        $number = $tokens->numberAt($index);
        if (null === $number) {
            $after = Vocabulary::REPEATS_AFTER[$tokens->words[$index] ?? ''] ?? null;
            if (null !== $after) {
                return new self($after, $index + 1);
            }
            $count = 'x' === ($tokens->words[$index] ?? '') ? $tokens->numberAt($index + 1) : null;

            return null !== $count && ctype_digit($count) ? new self((int) $count, $index + 2) : null;
        }
        if (ctype_digit($number)) {
            return 'times' === ($tokens->words[$index + 1] ?? '') ? new self((int) $number, $index + 2) : null;
        }

        return 1 === preg_match('/^[x\x{00D7}](\d{1,2})$/ui', $number, $count) && null === $numbering->entry($number)
            ? new self((int) $count[1], $index + 1)
            : null;
    }
}
