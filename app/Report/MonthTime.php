<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The work of a month. */
final readonly class MonthTime
{
    public function __construct(public string $month, public int $sessions, public int $workMs)
    {
    }
}
