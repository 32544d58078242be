<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** The smallest meaningful piece of a text. */
final readonly class Token
{
    /**
     * @param bool $hyphen joined to the word before it by a hyphen: "out" in "step-out"
     * @param bool $calledOut a number that was written as a word: "two"
     */
    public function __construct(
        public TokenKind $kind,
        public string $text,
        public Span $span,
        public bool $hyphen = false,
        public bool $calledOut = false,
    ) {
    }

    /** Returns the word in lower case; empty for what is no word, and so ends a phrase. */
    public function word(): string
    {
        return match (true) {
            TokenKind::Word !== $this->kind => '',
            // Most words are typed so.
            ctype_lower($this->text) => $this->text,
            default => Vocabulary::INITIALS[$this->text] ?? strtr(mb_strtolower($this->text), ["\u{2019}" => "'"]),
        };
    }
}
