<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** A lane of a drawing: a height that strikes go to, or the lane of the moves. */
final readonly class DrawnLane
{
    /** @param string $name head, body, leg or moves */
    public function __construct(public string $name, public int $y)
    {
    }
}
