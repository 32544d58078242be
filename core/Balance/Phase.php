<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

use Periplus\Core\Technique\Role;

/**
 * A stretch of time in which the same feet are down and the weight has one destination. The next phase begins where
 * this one ends.
 */
final readonly class Phase
{
    /**
     * @param int $at place of the item it belongs to
     * @param float $seconds how long it lasts, above 0
     * @param float $load share of the weight on the lead foot that is meant at its end, in the stance that holds then
     * @param Role|null $standsOn the one foot that is down; null for both
     * @param bool $comesDown whether the raised foot is on its way to the floor, which is then a place to land on
     * @param bool $underBody whether the standing foot was brought under the hips first, as in a switch kick
     * @param bool $holding whether the opponent is held, who then takes what the feet do not: no margin is asked for
     * @param float $step how far the middle of the stance goes forward meanwhile, m
     * @param float $reach how far the centre of mass lies in front of the hips at its end, m
     */
    public function __construct(
        public int $at,
        public float $seconds,
        public float $load,
        public ?Role $standsOn = null,
        public bool $comesDown = false,
        public bool $underBody = false,
        public bool $holding = false,
        public float $step = 0.0,
        public float $reach = 0.0,
    ) {
    }
}
