<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** The columns of a combination that checking it again needs. */
final readonly class StoredChain
{
    public function __construct(
        public int $id,
        public int $version,
        public string $notation,
        public Stance $stance,
        public Verdict $verdict,
    ) {
    }
}
