<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

/** Combinations that are similar to a chain. */
final readonly class Matches
{
    /**
     * @param list<ShownMatch> $matches the first of them
     * @param int $total how many there are
     */
    public function __construct(public array $matches, public int $total)
    {
    }
}
