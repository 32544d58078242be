<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\DBAL\Connection;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Plan\CourseRecord;
use Periplus\App\Plan\CourseUse;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Due\Due;
use Periplus\Core\Session\Due\Schedule;
use Periplus\Core\Technique\Stance;

/** Lists what is due in a course, from what it drilled and how that went. */
final readonly class DueList implements CourseRecord
{
    public function __construct(
        private Connection $connection,
        private Courses $courses,
        private GymHouseRules $rules,
        private GymSettings $gym,
        private Reader $reader,
    ) {
    }

    /** Returns the schedule of a course under its house rules. */
    public function schedule(int $course): Schedule
    {
        return Schedule::of($this->rules->named($this->courses->get($course)->content()->rules));
    }

    /** @return array<int, Due> by the id of the combination, the most overdue first */
    public function list(int $course): array
    {
        $schedule = $this->schedule($course);
        /** @var list<array{0: int|string, 1: string, 2: int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT combination_id, day, MAX(fell) FROM log_combination WHERE course_id = ? AND counts = 1 '
                .'GROUP BY combination_id, day ORDER BY combination_id, day',
            [$course],
        );
        $times = [];
        foreach ($rows as [$id, $day, $fell]) {
            $times[(int) $id][] = [$day, 0 === (int) $fell];
        }
        $due = array_map($schedule->after(...), $times);
        uasort($due, static fn (Due $one, Due $other): int => [$one->day, $one->last] <=> [$other->day, $other->last]);

        return $due;
    }

    public function drilled(int $course): array
    {
        $today = $this->gym->today()->format('Y-m-d');

        return array_map(
            static fn (Due $due): CourseUse => new CourseUse($due->times, $due->last, $due->overdue($today)),
            $this->list($course),
        );
    }

    public function links(int $course): array
    {
        return $this->joined(
            'SELECT DISTINCT d.thrown, d.stance FROM log_drilled d JOIN log_entry e ON e.id = d.entry_id '
                .'WHERE e.course_id = ? AND e.removed_at IS NULL AND d.thrown IS NOT NULL',
            [$course],
        );
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<string>
     */
    private function joined(string $query, array $values): array
    {
        /** @var list<array{0: string, 1: string}> $rows */
        $rows = $this->connection->fetchAllNumeric($query, $values);
        $links = [];
        foreach ($rows as [$notation, $stance]) {
            $chain = $this->reader->readStored($notation, Stance::from($stance))?->chain;
            $links += array_fill_keys(null === $chain ? [] : $chain->links(), true);
        }

        return array_keys($links);
    }
}
