<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Symfony\Component\Validator\Constraints as Assert;

/** The walls that should show a session. */
final readonly class ShowRequest
{
    /** @param list<int> $walls */
    public function __construct(
        #[Assert\Count(min: 1, max: 50, minMessage: 'Name a wall.', maxMessage: 'At most {{ limit }} walls.')]
        #[Assert\All([new Assert\Type('int', message: 'A wall is named by its number.')])]
        public array $walls,
    ) {
    }
}
