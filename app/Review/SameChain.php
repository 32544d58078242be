<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** Another proposal that waits with the same chain. */
final readonly class SameChain
{
    /** @param string $author name */
    public function __construct(public int $id, public string $name, public string $author)
    {
    }
}
