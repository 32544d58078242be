<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** In how many sessions of a month a fault was seen. */
final readonly class FaultTotal
{
    /**
     * @param string $month such as 2026-11
     * @param string $last day on which it was seen last
     */
    public function __construct(public string $fault, public string $month, public int $times, public string $last)
    {
    }
}
