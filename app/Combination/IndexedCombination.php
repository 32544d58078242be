<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\Person;

/** A combination in use, with everything an index may need. */
final readonly class IndexedCombination
{
    public function __construct(
        public int $id,
        public CombinationContent $content,
        public CheckSummary $check,
        public Person $author,
    ) {
    }
}
