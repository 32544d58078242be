<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

/** Where both stand at a moment of a chain. */
final readonly class Place
{
    /**
     * @param int|null $at place of the item in the chain; null for the start
     * @param float $ms when, from the start of the chain
     * @param float $fromMs since when the athlete is on the way there
     * @param bool $landed whether the foot of the item's kick has come down somewhere else
     * @param Standing $before where the athlete stood before
     */
    public function __construct(
        public ?int $at,
        public float $fromMs,
        public float $ms,
        public Standing $us,
        public Standing $them,
        public Standing $before,
        public bool $landed = false,
    ) {
    }
}
