<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** A combination in use, with everything an index may need. */
final readonly class IndexedCombination
{
    /** @param int $author id */
    public function __construct(
        public int $id,
        public CombinationContent $content,
        public CheckSummary $check,
        public int $author,
        public string $authorName,
    ) {
    }
}
