<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;
use Periplus\Core\Similarity\Relation;

/** Two combinations of the library that may be duplicates. */
final readonly class RelatedPair
{
    public function __construct(
        public ChainRow $one,
        public ChainRow $other,
        public Relation $relation,
        public float $distance,
    ) {
    }

    /** Compares for sorting: the closest first, then by name. */
    public static function compare(self $one, self $other): int
    {
        return [$one->distance, $one->one->name, $one->other->name]
            <=> [$other->distance, $other->one->name, $other->other->name];
    }
}
