<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** A chain of a plan with its picture. */
final readonly class ShownChain
{
    /** @param string $chain as it was typed */
    public function __construct(
        public string $chain,
        public Stance $stance,
        public int $level,
        public Verdict $verdict,
        public LineDrawing $line,
    ) {
    }
}
