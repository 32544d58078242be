<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** The tokens of a line without what carries nothing, and the places of what was passed over. */
final readonly class HeardLine
{
    /**
     * @param list<Token> $tokens
     * @param list<string> $words of the tokens, see {@see Token::word}
     * @param list<Span> $passedOver
     */
    public function __construct(public array $tokens, public array $words, public array $passedOver)
    {
    }
}
