<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** A combination in use whose verdict changes. */
final readonly class ChangedVerdict
{
    /** @param string $notation in parity numbering */
    public function __construct(
        public int $id,
        public string $name,
        public string $notation,
        public Stance $stance,
        public Verdict $from,
        public Verdict $to,
    ) {
    }
}
