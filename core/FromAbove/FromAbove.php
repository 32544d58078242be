<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

/**
 * A chain seen from above, in both stances and against both opponents, at one scale. Lengths in cm. It serialises as
 * docs/formats/from-above.md describes it.
 */
final readonly class FromAbove
{
    /**
     * @param string $sole path of a left sole that points to the right
     * @param float $soleScale by which it is enlarged
     * @param float $shoulders from shoulder to shoulder
     * @param float $hips from hip to hip
     * @param float $head radius of the head
     * @param float $width of the floor that each view shows
     * @param list<ViewFromAbove> $views
     */
    public function __construct(
        public string $sole,
        public float $soleScale,
        public float $shoulders,
        public float $hips,
        public float $head,
        public float $width,
        public float $height,
        public array $views,
    ) {
    }
}
