<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Combination\Combination;

/** A hash by which similar combinations are found. Stored in bulk by {@see NeighbourIndex}. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'deletion_neighbour')]
#[ORM\Index(name: 'of_combination', columns: ['combination_id'])]
class DeletionNeighbour
{
    public function __construct(
        #[ORM\Id, ORM\Column(type: 'binary', length: 8, options: ['fixed' => true])]
        private string $hash,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Combination $combination,
    ) {
    }
}
