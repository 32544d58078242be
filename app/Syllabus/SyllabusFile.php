<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Symfony\Component\Validator\Constraints as Assert;

/** A syllabus as a file, which this gym or another one reads again; see docs/formats/syllabus.md. */
final readonly class SyllabusFile
{
    public const FORMAT = 'periplus-syllabus';

    /**
     * @param string $name of the course
     * @param list<FileWeek> $weeks
     * @param string|null $startsOn a day of the first week
     */
    public function __construct(
        #[Assert\EqualTo(
            self::FORMAT,
            message: 'This is not a syllabus of Periplus. Choose a file that was saved here.',
        )]
        public string $format = '',
        #[Assert\EqualTo(1, message: 'This file is from a newer version of Periplus.')]
        public int $version = 1,
        public string $name = '',
        #[Assert\Regex('/^\d{4}-\d\d-\d\d$/D', message: 'A day is written as 2026-11-26.')]
        public ?string $startsOn = null,
        #[Assert\Valid]
        #[Assert\Count(max: 104, maxMessage: 'A syllabus has at most {{ limit }} weeks.')]
        public array $weeks = [],
    ) {
    }
}
