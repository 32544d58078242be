<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** The smallest piece of a text that means something. */
final readonly class Token
{
    public function __construct(public TokenKind $kind, public string $text, public Span $span)
    {
    }
}
