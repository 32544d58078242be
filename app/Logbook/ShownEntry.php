<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\Person;
use Periplus\App\Plan\CourseName;

/** An entry of the logbook in a list. */
readonly class ShownEntry
{
    public int $id;
    public int $version;
    public ?int $run;
    public ?int $plan;
    public ?CourseName $course;
    public string $name;
    public string $day;
    public int $lengthMs;
    public int $workMs;
    public Person $coach;
    public ?int $orthodox;
    public ?int $southpaw;
    /** Athletes by level. */
    public object $levels;
    public ?int $effort;
    public string $note;
    public bool $isChecked;
    public bool $removed;
    /** @var list<string> */
    public array $combinations;
    public int $fallen;

    public function __construct(LogRow $row)
    {
        $this->id = $row->id;
        $this->version = $row->version;
        $this->run = $row->run;
        $this->plan = $row->plan;
        $this->course = null === $row->course ? null : new CourseName($row->course, (string) $row->courseName);
        $this->name = $row->name;
        $this->day = $row->day;
        $this->lengthMs = $row->lengthMs;
        $this->workMs = $row->workMs;
        $this->coach = new Person($row->coach, $row->coachName);
        $this->orthodox = $row->orthodox;
        $this->southpaw = $row->southpaw;
        $this->levels = (object) $row->levels;
        $this->effort = $row->effort;
        $this->note = $row->note;
        $this->isChecked = $row->isChecked;
        $this->removed = null !== $row->removedAt;
        $this->combinations = $row->combinations;
        $this->fallen = $row->fallen;
    }
}
