<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Compose\Wishes;
use Symfony\Component\Validator\Constraints as Assert;

/** The requirements for a generated session. */
final readonly class ComposeRequest
{
    /**
     * @param int|null $minutes those of the course when null
     * @param array<mixed>|null $locked a plan of which the locked parts stay
     */
    public function __construct(
        public int $course,
        #[Assert\Range(
            min: Wishes::MIN_MINUTES,
            max: Wishes::MAX_MINUTES,
            notInRangeMessage: 'A generated session lasts {{ min }} to {{ max }} minutes.',
        )]
        public ?int $minutes = null,
        #[Assert\Choice(
            choices: ['due', 'syllabus', 'theme', 'weapon'],
            message: 'The aim is due, syllabus, theme or weapon.',
        )]
        public string $aim = 'due',
        public ?string $value = null,
        #[Assert\Range(min: 0, max: 2_147_483_647, notInRangeMessage: 'The seed is a whole number from 0.')]
        public int $seed = 1,
        public ?array $locked = null,
    ) {
    }
}
