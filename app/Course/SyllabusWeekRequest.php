<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Symfony\Component\Validator\Constraints as Assert;

/** A week of a syllabus in a request. */
final readonly class SyllabusWeekRequest
{
    /** @param list<int> $combinations */
    public function __construct(
        #[Assert\Length(max: 80, maxMessage: 'A theme has at most {{ limit }} characters.')]
        public string $theme = '',
        #[Assert\Length(max: 500, maxMessage: 'A note has at most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} combinations in a week.')]
        #[Assert\All([new Assert\Type('int', message: 'Give each combination by its id.')])]
        public array $combinations = [],
    ) {
    }
}
