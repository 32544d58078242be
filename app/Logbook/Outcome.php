<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** How often a combination was drilled, and how that went. */
final readonly class Outcome
{
    /**
     * @param int $times in how many sessions it was drilled
     * @param int $fell in how many of them it fell apart
     */
    public function __construct(public int $times, public int $fell)
    {
    }
}
