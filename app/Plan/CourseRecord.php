<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** What a course has drilled according to the logbook; used when generating sessions. */
interface CourseRecord
{
    /** @return array<int, CourseUse> by the id of the combination */
    public function drilled(int $course): array;

    /** @return list<string> the links that it has drilled, see {@see \Periplus\Core\Combination\Chain::links} */
    public function links(int $course): array;
}
