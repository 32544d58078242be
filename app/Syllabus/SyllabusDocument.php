<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

/** The syllabus of a course. */
final readonly class SyllabusDocument
{
    /**
     * @param int $version of the course, on which a change is based
     * @param int|null $now place of the week of today
     * @param list<TaughtWeek> $weeks
     */
    public function __construct(
        public int $course,
        public string $name,
        public int $version,
        public ?string $startsOn,
        public ?int $now,
        public array $weeks,
    ) {
    }
}
