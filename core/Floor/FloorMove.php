<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

/** What a move does on the floor beside what it does to the range. Units in core/data/floor.json. */
final readonly class FloorMove
{
    public function __construct(
        public float $ahead = 0.0,
        public float $lead = 0.0,
        public float $turn = 0.0,
        public float $around = 0.0,
    ) {
    }
}
