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
     * @param array<int, int> $members number of combinations that grew from each root by its id, the most first
     * @param array<int, ChainRow> $roots by id
     */
    public function __construct(
        public array $orphans,
        public int $orphanCount,
        public array $members,
        public array $roots,
    ) {
    }
}
