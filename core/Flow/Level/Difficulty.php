<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Level;

/** How hard a chain is to learn: its level and the parts of the sum. */
final readonly class Difficulty
{
    /**
     * @param int $level 1 to 3
     * @param list<Reason> $reasons the heaviest first
     */
    public function __construct(public int $level, public float $points, public array $reasons)
    {
    }
}
