<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** How far an import is. */
final readonly class ImportProgress
{
    /** @param object $counts by kind of line, what was read so far */
    public function __construct(
        public int $id,
        public ImportState $state,
        public int $total,
        public int $done,
        public object $counts,
    ) {
    }
}
