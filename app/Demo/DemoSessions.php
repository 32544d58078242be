<?php

declare(strict_types=1);

namespace Periplus\App\Demo;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\CourseRequest;
use Periplus\App\Course\Courses;
use Periplus\App\Course\Syllabus;
use Periplus\App\Course\SyllabusWeek;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Plan\ComposeRequest;
use Periplus\App\Plan\Planning;
use Periplus\App\Plan\PlanRequest;
use Periplus\App\Plan\SessionComposer;
use Periplus\App\Wall\WallRequest;
use Periplus\App\Wall\Walls;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Medium;
use Psr\Clock\ClockInterface;

/** Creates courses, one with a syllabus, planned sessions around the current day, templates, and two walls. */
final readonly class DemoSessions
{
    public function __construct(
        private Courses $courses,
        private Planning $planning,
        private SessionComposer $composer,
        private CombinationTable $combinations,
        private Walls $walls,
        private GymSettings $gym,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<mixed> $courses demo/courses.json
     * @param array<mixed> $sessions demo/sessions.json
     * @param array<string, User> $coaches
     */
    public function load(array $courses, array $sessions, array $coaches): void
    {
        foreach (['Floor', 'Bag room'] as $name) {
            $this->walls->create(new WallRequest($name), $coaches['ines']);
        }
        $made = [];
        /**
         * @var array{
         *     name: string,
         *     rules: string,
         *     group: string,
         *     medium: string,
         *     levels: list<int>,
         *     minutes: int,
         *     weekday: int,
         *     time: string,
         *     work: int,
         *     longestWork: int,
         *     workStep: int,
         *     rests: list<int>,
         *     note: string,
         *     syllabus?: array{
         *         startedWeeksAgo: int,
         *         weeks: list<array{theme: string, note: string, combinations: list<string>}>,
         *     },
         * } $row
         */
        foreach ($courses as $row) {
            $syllabus = $row['syllabus'] ?? null;
            unset($row['syllabus']);
            $course = $this->courses->create(
                new CourseRequest(
                    ...[...$row, 'group' => Group::from($row['group']), 'medium' => Medium::from($row['medium'])],
                ),
                $coaches['ines'],
            );
            if (null !== $syllabus) {
                $taught = $this->syllabus($course, $syllabus['startedWeeksAgo'], $syllabus['weeks']);
                $course = $this->courses->teach($course->id(), $course->version(), $taught, $coaches['ines']);
            }
            $made[$row['name']] = $course;
        }
        /**
         * @var array{
         *     name?: string,
         *     course?: string,
         *     compose?: string,
         *     by: string,
         *     week?: int,
         *     aim?: string,
         *     value?: string,
         *     seed?: int,
         *     template?: bool,
         *     content?: array<mixed>,
         * } $row
         */
        foreach ($sessions as $row) {
            $course = $made[$row['compose'] ?? $row['course'] ?? ''] ?? null;
            $content = $row['content'] ?? $this->composer->compose(
                new ComposeRequest(
                    $course?->id() ?? 0,
                    aim: $row['aim'] ?? 'due',
                    value: $row['value'] ?? null,
                    seed: $row['seed'] ?? 1,
                ),
                Numbering::named('parity'),
            )->plan;
            $name = $row['name'] ?? $content['name'] ?? '';
            $this->planning->create(new PlanRequest(
                \is_string($name) ? $name : '',
                $this->linked($content),
                $course?->id(),
                null === $course ? null : $this->start($course, $row['week'] ?? 0),
                $row['template'] ?? false,
            ), $coaches[$row['by']]);
        }
    }

    /** @param list<array{theme: string, note: string, combinations: list<string>}> $weeks combinations by name */
    private function syllabus(Course $course, int $weeksAgo, array $weeks): Syllabus
    {
        $ids = [];
        foreach ($this->combinations->after(0, 500) as $summary) {
            $ids[$summary->content->name] = $summary->id;
        }

        return new Syllabus(
            substr($this->start($course, -$weeksAgo), 0, 10),
            array_map(
                static fn (array $week): SyllabusWeek => new SyllabusWeek(
                    $week['theme'],
                    $week['note'],
                    array_map(static fn (string $name): int => $ids[$name], $week['combinations']),
                ),
                $weeks,
            ),
        );
    }

    /** Returns the local time at which the course starts in that week. */
    private function start(Course $course, int $week): string
    {
        $today = $this->clock->now()->setTimezone($this->gym->timeZone());

        return $today->modify('monday this week')->modify(\sprintf(
            '%+d days',
            7 * $week + ($course->content()->weekday ?? 1) - 1,
        ))->format('Y-m-d').'T'.($course->content()->time ?? '18:00');
    }

    /**
     * Replaces chains that the library has with links to its combinations.
     *
     * @param array<mixed> $content
     *
     * @return array<mixed>
     */
    private function linked(array $content): array
    {
        $byChain = [];
        foreach ($this->combinations->after(0, 500) as $summary) {
            $byChain[$summary->content->stance->value.' '.$summary->content->notation] = [
                'id' => $summary->id,
                'version' => $summary->version,
                'name' => $summary->content->name,
            ];
        }
        $link = static function (array $part) use (&$link, $byChain): array {
            if (\is_string($part['chain'] ?? null)) {
                $stance = \is_string($part['stance'] ?? null) ? $part['stance'] : 'orthodox';

                return [...$part, ...$byChain[$stance.' '.$part['chain']] ?? []];
            }

            return array_map(static fn (mixed $value): mixed => \is_array($value) ? $link($value) : $value, $part);
        };

        return $link($content);
    }
}
