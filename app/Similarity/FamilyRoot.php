<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;

/** A combination with which a family begins. */
final readonly class FamilyRoot extends Relative
{
    /** @param int $members number of combinations that grew from it, directly or not */
    public function __construct(ChainRow $row, string $text, public int $members)
    {
        parent::__construct($row, $text);
    }
}
