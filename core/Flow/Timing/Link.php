<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

/** The transition between two neighbouring items and what the body must do in it. */
final readonly class Link
{
    /**
     * @param int $to place of the later item; the earlier one is at $to - 1
     * @param float $wait ms
     * @param array<string, float> $parts ms by cause, longest first, only those above 0
     * @param int $bands how many bands of range lie between
     */
    public function __construct(
        public int $to,
        public float $wait,
        public Verdict $verdict,
        public ?Cause $cause,
        public array $parts,
        public int $bands,
    ) {
    }

    public function from(): int
    {
        return $this->to - 1;
    }
}
