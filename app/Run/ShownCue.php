<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Wall\Wall;

/** A cue that was shown by a wall; of several walls the first to report it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'run_shown', options: ['charset' => 'utf8mb4', 'collation' => 'utf8mb4_bin'])]
#[ORM\Index(name: 'by_time', columns: ['run_id', 'shown_ms'])]
#[ORM\Index(name: 'by_wall', columns: ['wall_id'])]
class ShownCue
{
    /**
     * @param string $passage id of the command that began it
     * @param int $shownMs on the server's clock
     */
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Run $run,
        #[ORM\Id, ORM\Column(length: 64)]
        private string $passage,
        #[ORM\Id, ORM\Column(length: 80)]
        private string $cue,
        #[ORM\Column(type: 'bigint')]
        private int $shownMs,
        #[ORM\ManyToOne]
        private ?Wall $wall,
    ) {
    }
}
