<?php

declare(strict_types=1);

namespace Periplus\App\Search;

/** A page of what a search found. */
final readonly class FoundPage
{
    /**
     * @param list<int> $ids in their order
     * @param int $total how many there are in all
     */
    public function __construct(public array $ids, public int $total)
    {
    }
}
