<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

/** A moment of a chain seen from above. */
final readonly class DrawnMoment
{
    /**
     * @param int|null $at place of the item in the chain; null for the start
     * @param bool $landed whether the foot of the item's kick has come down somewhere else
     * @param int $fromMs since when the athlete is on the way there, from the start of the chain
     * @param int $ms when they are there
     * @param list<DrawnPart> $us
     * @param int $them place of the opponent in the list of the view: they seldom move
     * @param string|null $way SVG path of the foot that goes furthest; null where both stay
     * @param int $distanceCm between the middles of both stances
     * @param int $angle how far the athlete is off the line in which the opponent faces, degrees
     * @param 'left'|'right'|null $side to which, as the athlete began; null on the line
     * @param bool $isReached whether the rear hand reaches the athlete
     * @param string $sentence all of it in words
     */
    public function __construct(
        public ?int $at,
        public bool $landed,
        public int $fromMs,
        public int $ms,
        public array $us,
        public int $them,
        public ?DrawnBlow $blow,
        public ?string $way,
        public int $distanceCm,
        public int $angle,
        public ?string $side,
        public bool $isReached,
        public string $sentence,
    ) {
    }
}
