<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/**
 * The first stage of the reader: splits a text into tokens in one pass. Numbers in words, up to ninety-nine, become
 * numbers.
 */
final readonly class Lexer
{
    /** Each kind of token is a named mark; blanks and hyphens leave none. */
    private const PATTERN = <<<'REGEX'
        ~\G(?:
          (?<=\])\s*[x\x{00D7}]\s*[0-9]+ (*MARK:times)
        | (?:(?<=[\p{L}0-9])-|(?<=\p{L})_)(?=\p{L}) (*MARK:hyphen)
        | (?:[-=]+>|\x{2192}|(?<=[\s\x{00A0}])>(?=[\s\x{00A0}])) (*MARK:stop)
        | [,;.:|&"\x{00B7}\x{2022}\x{201C}-\x{201E}\x{00AB}\x{00BB}] (*MARK:stop)
        | (?:[\s\x{00A0}]+|[-'\x{2018}\x{2019}\x{2010}-\x{2015}\x{2212}]) (*MARK:blank)
        | 12(?:-|\s+to\s+)6(?=\s+elbow) (*MARK:named)
        | [a-z\x{00D7}]{0,2}[0-9]+[a-z]* (*MARK:number)
        | \p{L}[\p{L}\p{M}]*(?:['\x{2019}][\p{L}\p{M}]+)* (*MARK:word)
        | [()\[\]+/*!\~><^_] (*MARK:sign)
        | . (*MARK:unknown)
        )~uxsi
        REGEX;

    private const KINDS = [
        'stop' => TokenKind::Stop,
        'times' => TokenKind::Times,
        'named' => TokenKind::Word,
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
        /** @var list<array{0: string, MARK: string}> $matches */
        $matches = [];
        preg_match_all(self::PATTERN, $text, $matches, \PREG_SET_ORDER);
        // In ASCII text, bytes are characters.
        $isPlain = mb_check_encoding($text, 'ASCII');
        $tokens = [];
        $index = $from;
        $hyphen = false;
        foreach ($matches as $match) {
            $found = $match[0];
            $mark = $match['MARK'];
            $length = $isPlain ? \strlen($found) : mb_strlen($found);
            if (isset(self::KINDS[$mark])) {
                $kind = self::KINDS[$mark];
                $span = new Span($index, $length);
                $number =
                    'word' === $mark
                        ? Vocabulary::NUMBERS[$isPlain ? strtolower($found) : mb_strtolower($found)] ?? null
                        : null;
                if (null === $number) {
                    $tokens[] = new Token($kind, 'named' === $mark ? '12-6' : $found, $span, $hyphen);
                } else {
                    $token = new Token(TokenKind::Number, $number, $span, $hyphen, true);
                    $last = \count($tokens) - 1;
                    $joined = $last >= 0 ? self::together($tokens[$last], $token) : null;
                    $tokens[null === $joined ? $last + 1 : $last] = $joined ?? $token;
                }
            }
            $hyphen = 'hyphen' === $mark;
            $index += $length;
        }

        return array_values($tokens);
    }

    /** Returns one number for "thirty" and "one"; null for "thirty" and "12", which are two. */
    private static function together(Token $tens, Token $ones): ?Token
    {
        return $tens->calledOut
            && $ones->calledOut
            && 2 === \strlen($tens->text)
            && '1' !== $tens->text[0]
            && '0' === $tens->text[1]
            && 1 === \strlen($ones->text)
            ? new Token(TokenKind::Number, $tens->text[0].$ones->text, $tens->span->until($ones->span), $tens->hyphen)
            : null;
    }
}
