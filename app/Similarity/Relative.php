<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;

/** A combination as lists of relatives show it. */
readonly class Relative
{
    public int $id;
    public string $name;
    public string $notation;
    public string $stance;
    public string $verdict;

    /** @param string $text the chain in the coach's numbering */
    public function __construct(ChainRow $row, public string $text)
    {
        $this->id = $row->id;
        $this->name = $row->name;
        $this->notation = $row->notation;
        $this->stance = $row->stance;
        $this->verdict = $row->verdict;
    }
}
