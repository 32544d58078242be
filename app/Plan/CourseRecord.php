<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** What a course has drilled according to the logbook; used when generating sessions. */
interface CourseRecord
{
    /**
     * @return array<int, array{
     *     times: int,
     *     last: string,
     *     overdue: int,
     * }> by the id of the combination: on how many days, the last day, and how many days past the day on which it comes
     * due; below zero before it
     */
    public function drilled(int $course): array;

    /** @return list<string> the links that it has drilled, see {@see \Periplus\Core\Combination\Chain::links} */
    public function links(int $course): array;
}
