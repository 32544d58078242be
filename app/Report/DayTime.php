<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The work of a day. */
final readonly class DayTime
{
    public function __construct(public string $day, public int $workMs)
    {
    }
}
