<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The work of a week. */
final readonly class WeekTime
{
    /** @param string $week its Monday */
    public function __construct(public string $week, public int $workMs, public int $sessions)
    {
    }
}
