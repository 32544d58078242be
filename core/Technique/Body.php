<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * The rates of the body and the limits of the verdicts; values, units, sources and bounds are in core/data/body.json.
 */
final readonly class Body
{
    public function __construct(
        public float $gap,
        public float $loadRate,
        public float $turnRate,
        public float $firstBand,
        public float $nextBand,
        public float $closeStance,
        public float $shortReturn,
        public float $turnOver,
        public float $turnOverOut,
        public float $withSlip,
        public float $legAgain,
        public float $feint,
        public float $light,
        public float $chamber,
        public float $legUp,
        public float $hard,
        public float $beat,
        public float $freeStrike,
        public float $flows,
        public float $reload,
        public int $startRange,
    ) {
    }

    /** @param array<string, int|float> $values all of them, by name */
    public static function of(array $values): self
    {
        return new self(...['startRange' => (int) $values['startRange']] + array_map(floatval(...), $values));
    }
}
