<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** First stage of the reader: cuts a text into tokens, in one pass. Numbers called out in words, to ninety-nine, are numbers. */
final readonly class Lexer
{
    private const PATTERN = <<<'REGEX'
        ~\G(?:
          (?<times>(?<=\])\s*[x\x{00D7}]\s*[0-9]+)
        | (?<stop>[-=]+>|\x{2192}|(?<=[\s\x{00A0}])>(?=[\s\x{00A0}])|[,;.:|\x{00B7}\x{2022}])
        | (?<named>12(?:-|\s+to\s+)6(?=\s+elbow))
        | (?<hyphen>(?<=[\p{L}0-9])-(?=\p{L}))
        | (?<blank>[\s\x{00A0}]+|[-\x{2010}-\x{2015}\x{2212}])
        | (?<number>[a-z\x{00D7}]{0,2}[0-9]+[a-z]*)
        | (?<word>\p{L}[\p{L}\p{M}'\x{2019}]*)
        | (?<sign>[()\[\]+/*!\~>])
        | (?<unknown>.)
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
        preg_match_all(self::PATTERN, $text, $matches, \PREG_SET_ORDER | \PREG_UNMATCHED_AS_NULL);
        $tokens = [];
        $at = $from;
        $hyphen = false;
        foreach ($matches as $match) {
            $found = $match[0];
            $length = mb_strlen($found);
            foreach (self::KINDS as $group => $kind) {
                if (null !== $match[$group]) {
                    $token = new Token($kind, 'named' === $group ? '12-6' : $found, new Span($at, $length), $hyphen);
                    $tokens[] = TokenKind::Word === $kind ? self::numbered($token) : $token;
                    $last = \count($tokens) - 1;
                    $joined = $last > 0 ? self::together($tokens[$last - 1], $tokens[$last]) : null;
                    if (null !== $joined) {
                        array_splice($tokens, -2, 2, [$joined]);
                    }
                    break;
                }
            }
            $hyphen = null !== $match['hyphen'];
            $at += $length;
        }

        return $tokens;
    }

    /** A word that is a number: "seven", "twenty". */
    private static function numbered(Token $token): Token
    {
        $number = Vocabulary::NUMBERS[mb_strtolower($token->text)] ?? null;

        return null === $number ? $token : new Token(TokenKind::Number, $number, $token->span, $token->hyphen, true);
    }

    /** "Thirty" and "one" are one number; "thirty" and "12" are two. */
    private static function together(Token $tens, Token $ones): ?Token
    {
        return $tens->calledOut && $ones->calledOut && 2 === \strlen($tens->text) && '1' !== $tens->text[0] && '0' === $tens->text[1] && 1 === \strlen($ones->text)
            ? new Token(TokenKind::Number, $tens->text[0].$ones->text, $tens->span->until($ones->span), $tens->hyphen)
            : null;
    }
}
