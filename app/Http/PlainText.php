<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * Replaces characters that are invisible or that some files cannot contain (control characters, line and paragraph
 * separators, unpaired surrogates, noncharacters) with blanks. Word processors leave them in text.
 */
final readonly class PlainText
{
    private const UNSHOWN = '\x{0}-\x{8}\x{B}\x{C}\x{E}-\x{1F}\x{7F}-\x{9F}'
        .'\x{2028}\x{2029}\x{FDD0}-\x{FDEF}\x{FFFE}\x{FFFF}';
    /**
     * Matches the same characters as JSON escapes, including unpaired surrogates; valid pairs and other escapes are
     * skipped.
     */
    private const ESCAPED = '/(?:\\\\[^ubf]|\\\\u[dD][89abAB][0-9a-fA-F]{2}\\\\u[dD][c-fC-F][0-9a-fA-F]{2})(*SKIP)(*FAIL)|\\\\[bf]|\\\\u(?:00(?:0[0-8bBcCeEfF]|1[0-9a-fA-F]|7[fF]|[89][0-9a-fA-F])|2028|2029|[fF][dD][dDeE][0-9a-fA-F]|[fF]{3}[eEfF]|[dD][89a-fA-F][0-9a-fA-F]{2})/';

    /** Cleans text of several lines. */
    public static function lines(string $text): string
    {
        return (string) preg_replace('/['.self::UNSHOWN.']/u', ' ', $text);
    }

    /** Cleans text of one line, such as a name: line breaks and tabs become blanks, and it is trimmed. */
    public static function line(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', self::lines($text)));
    }

    /** Cleans every string of a JSON document; invalid JSON stays invalid, and offsets stay the same. */
    public static function json(string $json): string
    {
        $raw = preg_replace('/['.self::UNSHOWN.']/u', ' ', $json);

        return (string) preg_replace(self::ESCAPED, '\u0020', $raw ?? $json);
    }
}
