<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * Text as people write it: characters that nothing shows and some files cannot hold (control characters, separators of
 * lines and paragraphs, halves of surrogate pairs, noncharacters) are blanks. Word processors leave them behind.
 */
final readonly class PlainText
{
    private const UNSHOWN = '\x{0}-\x{8}\x{B}\x{C}\x{E}-\x{1F}\x{7F}-\x{9F}'
        .'\x{2028}\x{2029}\x{FDD0}-\x{FDEF}\x{FFFE}\x{FFFF}';
    /** The same as escapes of JSON, halves of pairs among them; whole pairs and other escapes are passed over. */
    private const ESCAPED = '/(?:\\\\[^ubf]|\\\\u[dD][89abAB][0-9a-fA-F]{2}\\\\u[dD][c-fC-F][0-9a-fA-F]{2})(*SKIP)(*FAIL)|\\\\[bf]|\\\\u(?:00(?:0[0-8bBcCeEfF]|1[0-9a-fA-F]|7[fF]|[89][0-9a-fA-F])|2028|2029|[fF][dD][dDeE][0-9a-fA-F]|[fF]{3}[eEfF]|[dD][89a-fA-F][0-9a-fA-F]{2})/';

    /** Text of several lines. */
    public static function lines(string $text): string
    {
        return (string) preg_replace('/['.self::UNSHOWN.']/u', ' ', $text);
    }

    /** Text of one line, such as a name: line breaks and tabs are blanks, too, and none stand at its ends. */
    public static function line(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', self::lines($text)));
    }

    /**
     * The text of a JSON document in which every string is so; what is broken stays broken, every other place is kept.
     */
    public static function json(string $json): string
    {
        $raw = preg_replace('/['.self::UNSHOWN.']/u', ' ', $json);

        return (string) preg_replace(self::ESCAPED, '\u0020', $raw ?? $json);
    }
}
