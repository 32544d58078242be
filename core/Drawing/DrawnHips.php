<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** The hips as the pendulum has them. */
final readonly class DrawnHips
{
    /**
     * @param int|null $pastMs when they are furthest past the feet; null when they stay over them
     * @param string $pastText how far past the feet they are
     */
    public function __construct(
        public Curve $line,
        public float $endMs,
        public float $endY,
        public ?int $pastMs,
        public string $pastText,
    ) {
    }
}
