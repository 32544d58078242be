<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** How a course has used a combination. */
final readonly class CourseUse
{
    /**
     * @param int $times on how many days
     * @param string $last day, such as 2026-11-26
     * @param int|null $overdue days past the day on which it comes due, below zero before it; null when unknown
     */
    public function __construct(public int $times, public string $last, public ?int $overdue = null)
    {
    }
}
