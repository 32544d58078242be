<?php

declare(strict_types=1);

namespace Periplus\App\Search;

/** How many combinations a search would find without one of its parts. */
final readonly class WiderSearch
{
    /** @param string $text of the part */
    public function __construct(public string $text, public int $total)
    {
    }
}
