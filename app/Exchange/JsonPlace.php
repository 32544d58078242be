<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/** Finds places in a JSON text, which PHP's own parser does not report: syntax errors, and the start of list items. */
final readonly class JsonPlace
{
    /** Matches strings, numbers and words as a whole, punctuation one by one. */
    private const TOKEN = '/\G\s*(?:("(?:[^"\\\\\x00-\x1f]|\\\\(?:["\\\\\/bfnrt]|u[0-9a-fA-F]{4}))*+")|(-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?(?![\w.]))|(true|false|null)(?!\w)|([\[\]{},:]))/A';

    /** Maximum number of tokens; ten thousand combinations have about half of it. */
    private const MAX_TOKENS = 1_000_000;

    private function __construct(public int $line, public int $column)
    {
    }

    /** Returns the offset of the first token that cannot be there; the end of the text when something is missing. */
    public static function ofMistake(string $json): self
    {
        // What may come next: a value, a key or an end. Open brackets are kept on a stack.
        [$stack, $expect] = [[], 'value'];
        foreach (self::tokens($json) as [$position, $kind, $token]) {
            $top = end($stack);
            $ends =
                \in_array($token, [']', '}'], true)
                && $token === ('[' === $top ? ']' : '}')
                && \in_array($expect, ['after', 'first'], true)
                && false !== $top;
            $fits = match (true) {
                'broken' === $kind => false,
                $ends => true,
                'after' === $expect => ',' === $token && false !== $top,
                'colon' === $expect => ':' === $token,
                'key' === $expect, 'first' === $expect && '{' === $top => 'string' === $kind,
                default => 'sign' !== $kind || '[' === $token || '{' === $token,
            };
            if (!$fits) {
                return self::at($json, $position);
            }
            if ($ends) {
                array_pop($stack);
                $expect = 'after';
            } elseif (',' === $token) {
                $expect = '{' === $top ? 'key' : 'value';
            } elseif (':' === $token) {
                $expect = 'value';
            } elseif ('[' === $token || '{' === $token) {
                $stack[] = $token;
                $expect = 'first';
            } else {
                $expect = 'key' === $expect || ('first' === $expect && '{' === $top) ? 'colon' : 'after';
            }
        }

        return self::at($json, \strlen($json));
    }

    /**
     * Runs before the text is parsed as a whole, which needs many times its size in memory.
     *
     * @param int $most items that are looked for; there may be more
     *
     * @return list<int> the lines at which the items of the list under that key of the outermost object begin
     *
     * @throws Refused when there is more in it than in any library
     */
    public static function ofItems(string $json, string $key, int $most): array
    {
        [$depth, $inside, $ended, $before, $lines, $line, $counted, $count] = [0, false, false, ['', ''], [], 1, 0, 0];
        foreach (self::tokens($json) as [$position, , $token]) {
            if (++$count > self::MAX_TOKENS) {
                throw new Invalid(
                    t('This file is too large for a library. Nothing was imported.'),
                    type: 'broken-file',
                );
            }
            if ($inside && 2 === $depth && !\in_array($token, [',', ']'], true)) {
                $line += substr_count($json, "\n", $counted, $position - $counted);
                $counted = $position;
                $lines[] = $line;
            }
            $depth += match ($token) {
                '[', '{' => 1,
                ']', '}' => -1,
                default => 0,
            };
            if (\count($lines) >= $most) {
                return $lines;
            }
            if (1 === $depth && $inside) {
                [$inside, $ended] = [false, true];
            }
            $inside =
                $inside
                || (!$ended && 2 === $depth && '[' === $token && ':' === $before[1] && '"'.$key.'"' === $before[0]);
            $before = [$before[1], $token];
        }

        return $lines;
    }

    /**
     * @return iterable<array{
     *     int,
     *     string,
     *     string,
     * }> place, kind and text of each token; a last one of kind "broken" where there is none
     */
    private static function tokens(string $json): iterable
    {
        $position = 0;
        while (1 === preg_match(
            self::TOKEN,
            $json,
            $found,
            \PREG_OFFSET_CAPTURE | \PREG_UNMATCHED_AS_NULL,
            $position,
        )) {
            foreach ([1 => 'string', 2 => 'number', 3 => 'word', 4 => 'sign'] as $group => $kind) {
                if (null !== $found[$group][0]) {
                    yield [$found[$group][1], $kind, $found[$group][0]];
                }
            }
            $position = $found[0][1] + \strlen((string) $found[0][0]);
        }
        $rest = $position + strspn($json, " \t\r\n", $position);
        if ($rest < \strlen($json)) {
            yield [$rest, 'broken', ''];
        }
    }

    private static function at(string $json, int $offset): self
    {
        $before = substr($json, 0, $offset);
        $start = strrpos($before, "\n");

        return new self(
            1 + substr_count($before, "\n"),
            1 + mb_strlen(false === $start ? $before : substr($before, $start + 1)),
        );
    }
}
