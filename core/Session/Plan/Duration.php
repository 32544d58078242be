<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** Writes a length of time in words. */
final class Duration
{
    /** Returns a time in words: 16 min, 1 min 30 s, 45 s. */
    public static function inWords(int $seconds): string
    {
        [$minutes, $rest] = [intdiv($seconds, 60), $seconds % 60];

        return implode(
            ' ',
            array_filter(
                [$minutes > 0 ? $minutes.' min' : '', $rest > 0 || 0 === $minutes ? $rest.' s' : ''],
                static fn (string $part): bool => '' !== $part,
            ),
        );
    }
}
