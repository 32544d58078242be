<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;

/**
 * How long one combination was drilled in an entry; read by reports. It is derived from the drilled work and written
 * with it.
 */
#[ORM\Entity]
#[ORM\Table(name: 'log_combination')]
#[ORM\Index(name: 'by_combination', columns: ['combination_id', 'counts', 'day'])]
#[ORM\Index(name: 'report', columns: ['counts', 'combination_id', 'day', 'course_id', 'ms', 'southpaw_ms', 'fell'])]
#[ORM\Index(name: 'by_course', columns: ['course_id', 'counts', 'combination_id', 'day', 'ms', 'southpaw_ms', 'fell'])]
class LogCombination
{
    #[ORM\Embedded(columnPrefix: false)]
    private ReportKey $key;

    #[ORM\Column]
    private int $ms;

    #[ORM\Column]
    private int $southpawMs;

    /** Number of its links that fell apart. */
    #[ORM\Column(type: 'smallint')]
    private int $fell;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne(inversedBy: 'combinations'), ORM\JoinColumn(onDelete: 'CASCADE')]
        private LogEntry $entry,
        #[ORM\Id, ORM\Column(name: 'combination_id')]
        private int $combination,
        CombinationTime $time,
        int $fell,
    ) {
        $this->change($time, $fell);
    }

    public function change(CombinationTime $time, int $fell): void
    {
        $this->ms = $time->ms;
        $this->southpawMs = $time->southpawMs;
        $this->fell = $fell;
        $this->key = ReportKey::of($this->entry);
    }
}
