<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Symfony\Component\Validator\Constraints as Assert;

/** A syllabus in a request. */
final readonly class SyllabusRequest
{
    /**
     * @param list<SyllabusWeekRequest> $weeks
     * @param string|null $startsOn a day of the first week
     */
    public function __construct(
        #[Assert\Valid]
        #[Assert\Count(max: 104, maxMessage: 'A syllabus has at most {{ limit }} weeks.')]
        public array $weeks,
        #[Assert\Regex('/^\d{4}-\d\d-\d\d$/D', message: 'A day is written as 2026-11-26.')]
        public ?string $startsOn = null,
    ) {
    }

    public function syllabus(): Syllabus
    {
        return new Syllabus(
            $this->startsOn,
            array_map(
                static fn (SyllabusWeekRequest $week): SyllabusWeek => new SyllabusWeek(
                    trim($week->theme),
                    trim($week->note),
                    array_values(array_unique($week->combinations)),
                ),
                $this->weeks,
            ),
        );
    }
}
