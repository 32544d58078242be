<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Symfony\Component\Validator\Constraints as Assert;

/** An exercise in a request. */
final readonly class ExerciseRow
{
    /** @param list<string> $for */
    public function __construct(
        #[Assert\Regex(
            '/^[a-z0-9-]{1,40}$/D',
            message: 'The id of an exercise has small letters, digits and hyphens.',
        )]
        public string $id,
        #[Assert\NotBlank(message: 'Give the exercise a name.', normalizer: 'trim')]
        #[Assert\Length(max: 60, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Count(
            min: 1,
            minMessage: 'Say where it belongs: warm-up, conditioning, cool-down or between repetitions.',
        )]
        #[Assert\All([
            new Assert\Choice(
                choices: ['warm-up', 'conditioning', 'cool-down', 'between'],
                message: 'It belongs to the warm-up, to conditioning, to the cool-down or between repetitions.',
            ),
        ])]
        public array $for,
        #[Assert\Length(max: 120, maxMessage: 'What it does has at most {{ limit }} characters.')] public string $does,
        #[Assert\Range(min: 5, max: 600, notInRangeMessage: 'It lasts {{ min }} to {{ max }} seconds.')]
        public int $seconds,
        #[Assert\Range(min: 1, max: 200, notInRangeMessage: 'It is done {{ min }} to {{ max }} times.')]
        public ?int $count,
        #[Assert\Length(max: 120, maxMessage: 'The easier form has at most {{ limit }} characters.')]
        public string $easier,
        #[Assert\Length(max: 160, maxMessage: 'The caution has at most {{ limit }} characters.')]
        public string $caution,
    ) {
    }

    /** Returns the key that must be unique. */
    public static function idOf(self $row): string
    {
        return $row->id;
    }
}
