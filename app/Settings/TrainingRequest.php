<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Periplus\App\Gym\Training;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Medium;
use Symfony\Component\Validator\Constraints as Assert;

/** What the gym trains, in a request. */
final readonly class TrainingRequest
{
    /**
     * @param list<string> $media
     * @param list<string> $groups
     */
    public function __construct(
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        public string $rules,
        #[Assert\Count(min: 1, max: 9, minMessage: 'Choose at least one thing to hit.')]
        #[Assert\Unique(message: 'Name each of them once.')]
        #[Assert\All([new Assert\Choice(
            callback: [Medium::class, 'ids'],
            message: 'Choose among the bags and pads of the list, partner and shadow.',
        )])]
        public array $media,
        #[Assert\Count(min: 1, max: 3, minMessage: 'Choose at least one group.')]
        #[Assert\Unique(message: 'Name each group once.')]
        #[Assert\All([new Assert\Choice(
            choices: ['open', 'beginners', 'youth'],
            message: 'A group is open, beginners or youth.',
        )])]
        public array $groups,
    ) {
    }

    public function training(): Training
    {
        return new Training(
            $this->rules,
            array_map(Medium::from(...), $this->media),
            array_map(Group::from(...), $this->groups),
        );
    }
}
