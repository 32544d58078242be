<?php

declare(strict_types=1);

namespace Periplus\App\Demo;

use Periplus\App\Account\User;
use Periplus\App\Card\CardRequest;
use Periplus\App\Card\Cards;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Logbook\EntryRequest;
use Periplus\App\Logbook\Logbook;
use Periplus\App\Measure\Measurements;
use Periplus\App\Measure\MeasureRequest;
use Periplus\Core\Technique\Stance;

/** Creates eight weeks of logbook entries for the three courses, some measurements, and a card. */
final readonly class DemoLogbook
{
    public function __construct(
        private Logbook $logbook,
        private Measurements $measurements,
        private Cards $cards,
        private Courses $courses,
        private CombinationTable $combinations,
        private GymSettings $gym,
    ) {
    }

    /**
     * @param array<mixed> $sessions demo/logbook.json
     * @param array<mixed> $measured demo/measurements.json
     * @param array<string, User> $coaches
     */
    public function load(array $sessions, array $measured, array $coaches): void
    {
        $byName = [];
        foreach ($this->combinations->after(0, 500) as $summary) {
            $byName[$summary->content->name] = $summary;
        }
        $courses = [];
        foreach ($this->courses->all() as $course) {
            $courses[$course->name()] = $course;
        }
        /**
         * @var array{
         *     course: string,
         *     week: int,
         *     by: string,
         *     orthodox: int,
         *     southpaw: int,
         *     levels: array<int, int>,
         *     effort: int,
         *     note?: string,
         *     drilled: list<array{name: string, minutes: int, stance?: string}>,
         *     fell?: list<array{name: string, link: int, fault?: string}>,
         * } $row
         */
        foreach ($sessions as $index => $row) {
            $course = $courses[$row['course']];
            $this->logbook->write(
                new EntryRequest(
                    day: $this->day($course, $row['week']),
                    id: 'demo-entry-'.$index,
                    course: $course->id(),
                    coach: $coaches[$row['by']]->id(),
                    orthodox: $row['orthodox'],
                    southpaw: $row['southpaw'],
                    levels: $row['levels'],
                    effort: $row['effort'],
                    note: $row['note'] ?? '',
                    fallen: array_map(
                        static fn (array $fell): array => [
                            'notation' => $byName[$fell['name']]->content->notation,
                            'stance' => $byName[$fell['name']]->content->stance->value,
                            'link' => $fell['link'],
                            'fault' => $fell['fault'] ?? null,
                        ],
                        $row['fell'] ?? [],
                    ),
                    combinations: array_map(
                        static fn (array $one): array => [
                            'combination' => $byName[$one['name']]->id,
                            'minutes' => $one['minutes'],
                            'stance' => $one['stance'] ?? 'own',
                        ],
                        $row['drilled'],
                    ),
                ),
                $coaches[$row['by']],
            );
        }
        /** @var array{name: string, method: string, by: string, taps: list<int>} $row */
        foreach ($measured as $index => $row) {
            $this->measurements->keep(
                $byName[$row['name']]->id,
                'demo-measurement-'.$index,
                new MeasureRequest($row['taps'], $row['method']),
                $coaches[$row['by']],
            );
        }
        $this->cards->create(
            new CardRequest(
                'Take home, November',
                array_map(static fn (string $name): int => self::id($byName, $name), [
                    'Front porch',
                    'Cellar window',
                    'Slip and pay',
                ]),
                Stance::Southpaw,
            ),
            $coaches['tomas'],
        );
    }

    /** @param array<string, CombinationSummary> $byName */
    private static function id(array $byName, string $name): int
    {
        return ($byName[$name] ?? throw new \UnexpectedValueException('There is no combination '.$name))->id;
    }

    private function day(Course $course, int $week): string
    {
        return $this->gym->today()->modify('monday this week')->modify(\sprintf(
            '%+d days',
            7 * $week + ($course->content()->weekday ?? 1) - 1,
        ))->format('Y-m-d');
    }
}
