<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The work of a course. */
final readonly class CourseTime
{
    public function __construct(public string $name, public int $sessions, public int $workMs)
    {
    }
}
