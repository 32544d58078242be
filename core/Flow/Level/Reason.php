<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Level;

final readonly class Reason
{
    /** @param string $id a key of "points" in core/data/level.json */
    public function __construct(public string $id, public float $points, public string $message)
    {
    }
}
