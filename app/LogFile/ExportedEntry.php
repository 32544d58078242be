<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Logbook\DrilledRow;
use Periplus\App\Logbook\FallenLink;
use Periplus\App\Logbook\LogEntry;

/** An entry of an exported logbook; docs/formats/logbook.md describes every key. */
final readonly class ExportedEntry
{
    public string $key;
    public string $day;
    public string $session;
    public ?string $course;
    public string $coach;
    public int $lengthMs;
    public int $workMs;
    public ?int $orthodox;
    public ?int $southpaw;
    /** @var \ArrayObject<int, int> athletes by level */
    public \ArrayObject $levels;
    public ?int $effort;
    public string $note;
    /** @var list<ExportedRow> */
    public array $drilled;
    /** @var list<ExportedLink> */
    public array $fallen;

    public function __construct(LogEntry $entry)
    {
        $attendance = $entry->attendance();
        $this->key = $entry->key();
        $this->day = $entry->day();
        $this->session = $entry->name();
        $this->course = $entry->course()?->name();
        $this->coach = $entry->coachName();
        $this->lengthMs = $entry->lengthMs();
        $this->workMs = $entry->workMs();
        $this->orthodox = $attendance->orthodox;
        $this->southpaw = $attendance->southpaw;
        $this->levels = new \ArrayObject($attendance->levels);
        $this->effort = $entry->effort();
        $this->note = $entry->note();
        $this->drilled = array_map(
            static fn (DrilledRow $row): ExportedRow => new ExportedRow($row),
            $entry->drilled(),
        );
        $this->fallen = array_map(
            static fn (FallenLink $link): ExportedLink => new ExportedLink($link),
            $entry->fallen(),
        );
    }
}
