<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;
use Periplus\Core\Similarity\Relation;

/** A combination that is related to a chain. */
final readonly class RelatedChain
{
    public function __construct(public ChainRow $row, public Relation $relation, public float $distance)
    {
    }

    /** Compares for sorting: the closest relation first, then by distance and name. */
    public static function compare(self $one, self $other): int
    {
        return [$one->relation->rank(), $one->distance, $one->row->name]
            <=> [$other->relation->rank(), $other->distance, $other->row->name];
    }
}
