<?php

declare(strict_types=1);

namespace Periplus\App\Course;

/** A week of a syllabus. */
final readonly class SyllabusWeek
{
    /** @param list<int> $combinations of the library, in their order */
    public function __construct(public string $theme, public string $note, public array $combinations)
    {
    }
}
