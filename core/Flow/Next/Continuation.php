<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Next;

use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Timing\Cause;
use Periplus\Core\Flow\Timing\Verdict;

/** A strike or move that could follow, and what the body would have to do for it. */
final readonly class Continuation
{
    /** @param float $wait ms */
    public function __construct(
        public Item $item,
        public float $wait,
        public Verdict $verdict,
        public ?Cause $cause,
        public string $reason,
    ) {
    }
}
