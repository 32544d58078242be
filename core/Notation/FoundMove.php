<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A move in a line of words, without its side. */
final readonly class FoundMove
{
    /**
     * @param string $name the id of a move, or a key of {@see Vocabulary::$bases} or {@see Vocabulary::SEQUENCES}
     * @param int $count how many words it takes
     */
    public function __construct(public string $name, public int $count)
    {
    }
}
