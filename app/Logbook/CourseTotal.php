<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** The work of a course. */
final readonly class CourseTotal
{
    /** @param int|null $course null for sessions without one */
    public function __construct(public ?int $course, public int $sessions, public int $workMs)
    {
    }
}
