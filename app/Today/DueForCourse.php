<?php

declare(strict_types=1);

namespace Periplus\App\Today;

/** How many combinations are due in a course that trains today. */
final readonly class DueForCourse
{
    public function __construct(public int $course, public string $name, public int $combinations)
    {
    }
}
