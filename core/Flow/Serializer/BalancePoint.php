<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Balance\SwayPoint;

/** A moment of the balance: positions in cm from the middle of the stance, positive forward. */
final readonly class BalancePoint
{
    private function __construct(
        public int $ms,
        public float $hipsCm,
        public float $xiCm,
        public float $backCm,
        public float $frontCm,
    ) {
    }

    public static function of(SwayPoint $point): self
    {
        return new self(
            (int) round(1000 * $point->seconds),
            round(100 * $point->hips, 1),
            round(100 * $point->xi, 1),
            round(100 * $point->back, 1),
            round(100 * $point->front, 1),
        );
    }
}
