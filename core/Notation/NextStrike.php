<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Strike;

/** The strike after a move. */
final readonly class NextStrike
{
    /** @param int $moves slips and rolls without a side in between */
    public function __construct(public ?Strike $strike = null, public int $moves = 0)
    {
    }
}
