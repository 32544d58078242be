<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;

/** The families of the whole library. */
final readonly class FamilyOverview
{
    /**
     * @param list<ChainRow> $orphans combinations without relatives, the first of them by name
     * @param int $orphanCount how many there are
     * @param array<int, int> $children number of children by id, the most first
     * @param array<int, ChainRow> $hubs by id
     */
    public function __construct(
        public array $orphans,
        public int $orphanCount,
        public array $children,
        public array $hubs,
    ) {
    }
}
