<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** The weight over time, between the rails of the front and the back foot. */
final readonly class DrawnRibbon
{
    public float $middle;

    /**
     * @param list<DrawnLoad> $dots the load at each strike
     * @param string $words the same for screen readers
     */
    public function __construct(
        public int $front,
        public int $back,
        public Curve $line,
        public array $dots,
        public string $words,
        public ?DrawnHips $hips,
    ) {
        $this->middle = ($front + $back) / 2;
    }
}
