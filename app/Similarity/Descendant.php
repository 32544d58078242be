<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;

/** A combination that grew from another. */
final readonly class Descendant extends Relative
{
    /** @param int $parent id of the combination it grew from */
    public function __construct(ChainRow $row, string $text, public int $parent)
    {
        parent::__construct($row, $text);
    }
}
