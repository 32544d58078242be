<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** A word, number or sign of a search, with its place in Unicode characters. */
final readonly class Piece
{
    /**
     * @param string|null $meaning the word of a clause that it stands for, such as "starts" for "begins"
     * @param bool $isImplied whether it is part of what the piece before it stands for, and was not typed
     */
    public function __construct(
        public string $text,
        public int $at,
        private ?string $meaning = null,
        public bool $isImplied = false,
    ) {
    }

    public function word(): string
    {
        return $this->meaning ?? mb_strtolower(trim($this->text, '"'));
    }

    /** Tells whether it stands in quotation marks, so that it is looked for as a plain word. */
    public function isQuoted(): bool
    {
        return str_starts_with($this->text, '"');
    }

    /** Tells whether it is one of these words, outside of quotation marks. */
    public function is(string ...$words): bool
    {
        return !$this->isQuoted() && \in_array($this->word(), $words, true);
    }

    public function meaning(string $word): self
    {
        return new self($this->text, $this->at, $word);
    }
}
