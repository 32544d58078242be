<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The body's own rates and the limits of the verdicts; values, units and sources in core/data/body.json. */
final readonly class Body
{
    public function __construct(
        public int $gap,
        public int $loadRate,
        public int $turnRate,
        public int $firstBand,
        public int $nextBand,
        public int $closeStance,
        public float $shortReturn,
        public float $feint,
        public int $beat,
        public int $freeStrike,
        public int $flows,
        public int $reload,
        public int $startRange,
    ) {
    }
}
