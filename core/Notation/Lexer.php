<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** First stage of the reader: cuts a text into tokens, in one pass. Numbers called out in words are numbers. */
final readonly class Lexer
{
    private const PATTERN = <<<'REGEX'
        ~\G(?:
          (?<times>(?<=\])\s*[x\x{00D7}]\s*[0-9]+)
        | (?<blank>[\s\x{00A0}]+|[-\x{2010}-\x{2015}\x{2212}])
        | (?<stop>[,;.:|\x{00B7}\x{2022}\x{2192}])
        | (?<number>[a-z]{0,2}[0-9]+[a-z]*)
        | (?<word>\p{L}[\p{L}\p{M}'\x{2019}]*)
        | (?<sign>[()\[\]+/*!\~>])
        | (?<unknown>.)
        )~uxsi
        REGEX;

    private const KINDS = [
        'stop' => TokenKind::Stop,
        'times' => TokenKind::Times,
        'number' => TokenKind::Number,
        'word' => TokenKind::Word,
        'sign' => TokenKind::Sign,
        'unknown' => TokenKind::Unknown,
    ];

    /**
     * @param int $from place of the text in a longer one, for the spans
     *
     * @return list<Token>
     */
    public static function tokens(string $text, int $from = 0): array
    {
        preg_match_all(self::PATTERN, $text, $matches, \PREG_SET_ORDER | \PREG_UNMATCHED_AS_NULL);
        $tokens = [];
        $at = $from;
        foreach ($matches as $match) {
            $found = $match[0];
            $length = mb_strlen($found);
            foreach (self::KINDS as $group => $kind) {
                if (null !== $match[$group]) {
                    $number = TokenKind::Word === $kind ? Vocabulary::NUMBERS[mb_strtolower($found)] ?? null : null;
                    $tokens[] = new Token(null === $number ? $kind : TokenKind::Number, $number ?? $found, new Span($at, $length));
                    break;
                }
            }
            $at += $length;
        }

        return $tokens;
    }
}
