<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Store\DayType;

/** The columns by which reports search, copied from an entry to its rows so that an index covers them. */
#[ORM\Embeddable]
final readonly class ReportKey
{
    private function __construct(
        #[ORM\Column(type: DayType::NAME)]
        public string $day,
        #[ORM\Column(name: 'course_id', nullable: true)]
        public ?int $course,
        /** Whether the entry is in the logbook and not deleted. */
        #[ORM\Column(options: ['default' => true])]
        public bool $counts,
    ) {
    }

    public static function of(LogEntry $entry): self
    {
        return new self($entry->day(), $entry->course()?->id(), !$entry->isRemoved());
    }
}
