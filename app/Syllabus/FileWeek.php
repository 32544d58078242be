<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Symfony\Component\Validator\Constraints as Assert;

/** A week in the file of a syllabus. */
final readonly class FileWeek
{
    /** @param list<FileCombination> $combinations */
    public function __construct(
        #[Assert\Length(max: 80, maxMessage: 'A theme has at most {{ limit }} characters.')]
        public string $theme = '',
        #[Assert\Length(max: 500, maxMessage: 'A note has at most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} combinations in a week.')]
        public array $combinations = [],
    ) {
    }
}
