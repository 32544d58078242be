<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Medium;
use Symfony\Component\Validator\Constraints as Assert;

/** A course in a request. */
final readonly class CourseRequest
{
    /**
     * @param list<int> $levels
     * @param list<string> $stances
     * @param list<int> $rests
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the course a name.', normalizer: 'trim')]
        #[Assert\Length(max: 80, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Choice(
            callback: [BuiltInHouseRules::class, 'ids'],
            message: 'The rules are boxing, kickboxing or all-limbs.',
        )]
        public string $rules = 'all-limbs',
        public Group $group = Group::Open,
        public Medium $medium = Medium::Pads,
        #[Assert\Count(
            min: 1,
            max: 3,
            minMessage: 'Choose at least one level.',
            maxMessage: 'There are three levels.',
        )]
        #[Assert\Unique(message: 'Each level once.')]
        #[Assert\All([
            new Assert\Type('int', message: 'A level is a number.'),
            new Assert\Range(min: 1, max: 3, notInRangeMessage: 'A level is 1, 2 or 3.'),
        ])]
        public array $levels = [1],
        #[Assert\Count(min: 1, minMessage: 'Choose at least one stance.')]
        #[Assert\Unique(message: 'Each stance once.')]
        #[Assert\All([
            new Assert\Choice(choices: ['orthodox', 'southpaw'], message: 'A stance is orthodox or southpaw.'),
        ])]
        public array $stances = ['orthodox', 'southpaw'],
        #[Assert\Range(min: 15, max: 180, notInRangeMessage: 'A session lasts {{ min }} to {{ max }} minutes.')]
        public int $minutes = 60,
        #[Assert\Range(min: 1, max: 7, notInRangeMessage: 'A weekday is 1, Monday, to 7, Sunday.')]
        public ?int $weekday = null,
        #[Assert\Regex('/^([01]\d|2[0-3]):[0-5]\d$/D', message: 'A time is written as 18:30.')]
        public ?string $time = null,
        #[Assert\Range(min: 30, max: 600, notInRangeMessage: 'A round lasts {{ min }} to {{ max }} seconds.')]
        public int $work = 180,
        #[Assert\Range(min: 30, max: 600, notInRangeMessage: 'A round lasts {{ min }} to {{ max }} seconds.')]
        public int $longestWork = 180,
        #[Assert\Range(
            min: 5,
            max: 120,
            notInRangeMessage: 'A round is lengthened by {{ min }} to {{ max }} seconds.',
        )]
        public int $workStep = 15,
        #[Assert\Count(
            min: 1,
            max: 12,
            minMessage: 'Name at least one rest.',
            maxMessage: 'At most {{ limit }} rests.',
        )]
        #[Assert\All([
            new Assert\Type('int', message: 'A rest is a number of seconds.'),
            new Assert\Range(min: 0, max: 300, notInRangeMessage: 'A rest lasts {{ min }} to {{ max }} seconds.'),
        ])]
        public array $rests = [60],
        #[Assert\Length(max: 1000, maxMessage: 'A note has at most {{ limit }} characters.')] public string $note = '',
    ) {
    }

    public function content(): CourseContent
    {
        /** @var non-empty-list<int> $levels the constraints see to it */
        $levels = $this->levels;
        sort($levels);
        /** @var non-empty-list<int> $rests */
        $rests = $this->rests;

        return new CourseContent(
            rules: $this->rules,
            group: $this->group,
            medium: $this->medium,
            levels: $levels,
            stances: $this->stances,
            minutes: $this->minutes,
            weekday: $this->weekday,
            time: $this->time,
            work: $this->work,
            longestWork: max($this->work, $this->longestWork),
            workStep: $this->workStep,
            rests: $rests,
            note: $this->note,
        );
    }
}
