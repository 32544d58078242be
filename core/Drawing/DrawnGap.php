<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Flow\Timing\Verdict;

/** A reload or a break, as wide as its wait. */
final readonly class DrawnGap
{
    /**
     * @param Verdict $verdict reload or breaks
     * @param string $sign of the verdict
     * @param string $label the wait in ms, after a plus
     * @param string $sentence for a tooltip and for screen readers
     */
    public function __construct(
        public int $fromMs,
        public int $toMs,
        public float $top,
        public float $bottom,
        public Verdict $verdict,
        public string $sign,
        public string $label,
        public string $sentence,
    ) {
    }
}
