<?php

declare(strict_types=1);

namespace Periplus\Core\Library\Search;

/** A word, number or sign of a search, with its place in Unicode characters. */
final readonly class Piece
{
    public function __construct(public string $text, public int $at)
    {
    }

    public function word(): string
    {
        return mb_strtolower(trim($this->text, '"'));
    }
}
