<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;

/** A combination from which others grew. */
final readonly class Hub extends Relative
{
    public function __construct(ChainRow $row, string $text, public int $children)
    {
        parent::__construct($row, $text);
    }
}
