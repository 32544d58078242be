<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A move found in a line of words, without its side. */
final readonly class FoundMove
{
    /**
     * @param string $name id of a move, the bare word of moves that go to a side, or a key of {@see
     *                     Vocabulary::SEQUENCES}
     * @param int $count how many words it has
     */
    public function __construct(public string $name, public int $count, public bool $plural = false)
    {
    }
}
