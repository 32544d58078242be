<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;

/** A link that fell apart in an entry, with the columns by which reports search. */
#[ORM\Entity]
#[ORM\Table(name: 'log_fallen_link')]
#[ORM\Index(name: 'by_combination', columns: ['counts', 'combination_id', 'day'])]
#[ORM\Index(name: 'by_course', columns: ['course_id', 'counts', 'day'])]
class LogFallenLink
{
    #[ORM\Embedded(columnPrefix: false)]
    private ReportKey $key;

    #[ORM\Column(name: 'combination_id', nullable: true)]
    private ?int $combination;

    #[ORM\Embedded(columnPrefix: false)]
    private FallenLink $link;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne(inversedBy: 'fallen'), ORM\JoinColumn(onDelete: 'CASCADE')]
        private LogEntry $entry,
        #[ORM\Id, ORM\Column(type: 'smallint')]
        private int $position,
        FallenLink $link,
        ?int $combination,
    ) {
        $this->change($link, $combination);
    }

    public function link(): FallenLink
    {
        return $this->link;
    }

    public function change(FallenLink $link, ?int $combination): void
    {
        $this->link = $link;
        $this->combination = $combination;
        $this->key = ReportKey::of($this->entry);
    }
}
