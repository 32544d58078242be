<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Technique\Medium;

/** The settings of a course: its rules, group and schedule, and how its rounds progress. */
final readonly class CourseContent
{
    /**
     * @param string $rules a set of house rules, such as "kickboxing"
     * @param non-empty-list<int> $levels in rising order
     * @param list<string> $stances
     * @param int|null $weekday 1, Monday, to 7, Sunday
     * @param string|null $time such as "18:30"
     * @param int $work s of a round in the first week; $longestWork is reached in steps of $workStep
     * @param non-empty-list<int> $rests s, week by week
     */
    public function __construct(
        public string $rules,
        public Group $group,
        public Medium $medium,
        public array $levels,
        public array $stances,
        public int $minutes,
        public ?int $weekday,
        public ?string $time,
        public int $work,
        public int $longestWork,
        public int $workStep,
        public array $rests,
        public string $note,
    ) {
    }

    /** @param array<string, mixed> $stored the value as JSON has it */
    public static function of(array $stored): self
    {
        /**
         * @var array{
         *     rules: string,
         *     group: string,
         *     medium: string,
         *     levels: non-empty-list<int>,
         *     stances: list<string>,
         *     minutes: int,
         *     weekday: int|null,
         *     time: string|null,
         *     work: int,
         *     longestWork: int,
         *     workStep: int,
         *     rests: non-empty-list<int>,
         *     note: string,
         * } $stored
         */
        return new self(...[
            ...$stored,
            'group' => Group::from($stored['group']),
            'medium' => Medium::from($stored['medium']),
        ]);
    }

    public function hardestLevel(): int
    {
        return max($this->levels);
    }
}
