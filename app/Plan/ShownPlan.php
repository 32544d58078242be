<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Account\Person;
use Periplus\App\Store\Instant;

/** A planned session in a list. */
readonly class ShownPlan
{
    public int $id;
    public int $version;
    public string $name;
    public ?CourseName $course;
    public bool $isTemplate;
    /** In the time of the gym, such as 2026-11-26T18:30. */
    public ?string $startsAt;
    public int $lengthMs;
    public int $problems;
    public Person $author;
    public Person $editor;
    public Instant $updatedAt;
    public bool $archived;

    /** @param \DateTimeZone $zone of the gym */
    public function __construct(PlanRow $row, \DateTimeZone $zone)
    {
        $this->id = $row->id;
        $this->version = $row->version;
        $this->name = $row->name;
        $this->course = null === $row->course ? null : new CourseName($row->course, (string) $row->courseName);
        $this->isTemplate = $row->isTemplate;
        $this->startsAt = $row->startsAt?->setTimezone($zone)->format('Y-m-d\TH:i');
        $this->lengthMs = $row->lengthMs;
        $this->problems = $row->problems;
        $this->author = new Person($row->author, $row->authorName);
        $this->editor = new Person($row->editor, $row->editorName);
        $this->updatedAt = new Instant($row->updatedAt);
        $this->archived = null !== $row->archivedAt;
    }
}
