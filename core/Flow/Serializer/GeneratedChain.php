<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;

/** A generated chain in the numbering and stance of the question. */
final readonly class GeneratedChain
{
    /**
     * @param string $notation in parity numbering
     * @param string $words by role
     */
    public function __construct(
        public string $text,
        public string $notation,
        public string $words,
        public Verdict $verdict,
        public int $lengthMs,
        public int $level,
        public LineDrawing $line,
    ) {
    }
}
