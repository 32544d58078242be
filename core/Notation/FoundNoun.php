<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A noun of a strike in a line of words. */
final readonly class FoundNoun
{
    /**
     * @param string $name a key of {@see Vocabulary::$nouns}
     * @param int $count how many words it takes
     */
    public function __construct(public string $name, public int $count, public bool $plural)
    {
    }
}
