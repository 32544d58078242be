<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A range of the text, in Unicode characters. */
final readonly class Span
{
    public function __construct(public int $at, public int $length)
    {
    }

    public function until(self $last): self
    {
        return new self($this->at, max($this->length, $last->at + $last->length - $this->at));
    }
}
