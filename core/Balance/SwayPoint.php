<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

/** A moment of the sway. Positions in m from the middle of the stance, positive forward. */
final readonly class SwayPoint
{
    /**
     * @param float $seconds from the start of the chain
     * @param float $hips the middle of the hips: the centre of mass less what the limbs that are out add to it
     * @param float $xi extrapolated centre of mass
     * @param float $back edge of the feet that are down, or about to be
     * @param float $front the other edge
     */
    public function __construct(
        public float $seconds,
        public float $hips,
        public float $xi,
        public float $back,
        public float $front,
    ) {
    }
}
