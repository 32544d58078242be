<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

/** From how many on a finding holds; units in core/data/house-rules.json. */
final readonly class Thresholds
{
    public function __construct(
        public int $staticHead,
        public int $oneHeight,
        public int $sameSide,
        public int $drives,
        public int $rangeJump,
        public float $tempoLoss,
    ) {
    }
}
