<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

/** An opponent seen from above, in guard. */
final readonly class DrawnOpponent
{
    /**
     * @param list<DrawnPart> $parts
     * @param string $power SVG path of what their power hand reaches without a turn of the feet
     * @param float $liverX where their liver is, cm
     */
    public function __construct(
        public array $parts,
        public string $power,
        public float $liverX,
        public float $liverY,
    ) {
    }
}
