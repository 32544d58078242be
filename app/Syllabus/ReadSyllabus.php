<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

/** What the file of a syllabus says, read with the library of this gym. */
final readonly class ReadSyllabus
{
    /**
     * @param list<ReadWeek> $weeks
     * @param list<string> $missing what the library does not have, such as "Ladder: 1 2 3"
     */
    public function __construct(public ?string $startsOn, public array $weeks, public array $missing)
    {
    }
}
