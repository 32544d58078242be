<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** The columns of a combination that comparing chains needs. */
final readonly class ChainRow
{
    /** @param string $sequence bytes, as of {@see \Periplus\Core\Combination\Sequence}; `$stem` too */
    public function __construct(
        public int $id,
        public string $name,
        public string $notation,
        public string $stance,
        public string $verdict,
        public string $sequence,
        public string $stem,
    ) {
    }
}
