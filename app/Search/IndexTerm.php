<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Combination\Combination;

/** A term of the search index. Stored in bulk by {@see SearchIndex}. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'index_term')]
#[ORM\Index(name: 'of_combination', columns: ['combination_id', 'term'])]
class IndexTerm
{
    public function __construct(
        #[ORM\Id, ORM\Column(length: 41, options: ['charset' => 'utf8mb4', 'collation' => 'utf8mb4_bin'])]
        private string $term,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Combination $combination,
    ) {
    }
}
