<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** A pair of feet from above. */
final readonly class DrawnPair
{
    /**
     * @param int $clear minimum distance from the left edge of the chain, in drawing units
     * @param float $dx in drawing units
     * @param float $dy in drawing units
     * @param float $turn in degrees
     * @param bool $isBefore where the feet were
     * @param list<DrawnSole> $soles
     */
    public function __construct(
        public int $ms,
        public int $clear,
        public float $dx,
        public float $dy,
        public float $turn,
        public bool $isBefore,
        public array $soles,
    ) {
    }
}
