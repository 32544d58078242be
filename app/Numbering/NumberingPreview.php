<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\NumberingDifference;
use Periplus\Core\Notation\NumberingGap;
use Periplus\Core\Notation\NumberingProblem;

/** A numbering before it is saved: what is wrong with it, and how the library reads in it. */
final readonly class NumberingPreview
{
    /**
     * @param list<NumberingProblem> $problems
     * @param list<NumberingGap> $gaps strikes without a number
     * @param list<NumberingDifference> $differences from the other numbering
     * @param list<NumberingSample> $samples those that change first
     * @param int $changed how many of those that were looked at change
     */
    public function __construct(
        public array $problems,
        public array $gaps = [],
        public array $differences = [],
        public array $samples = [],
        public int $changed = 0,
        public int $lookedAt = 0,
    ) {
    }
}
