<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;

/** One row of what was drilled in an entry. */
#[ORM\Entity]
#[ORM\Table(name: 'log_drilled')]
class LogDrilled
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne(inversedBy: 'drilled'), ORM\JoinColumn(onDelete: 'CASCADE')]
        private LogEntry $entry,
        #[ORM\Id, ORM\Column(type: 'smallint')]
        private int $position,
        #[ORM\Embedded(columnPrefix: false)]
        private DrilledRow $row,
    ) {
    }

    public function row(): DrilledRow
    {
        return $this->row;
    }

    public function change(DrilledRow $row): void
    {
        $this->row = $row;
    }
}
