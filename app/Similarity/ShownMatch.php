<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\Core\Similarity\Relation;

/** A related combination as it is shown. */
final readonly class ShownMatch extends Relative
{
    public Relation $relation;
    public float $distance;

    public function __construct(RelatedChain $found, string $text)
    {
        parent::__construct($found->row, $text);
        $this->relation = $found->relation;
        $this->distance = $found->distance;
    }
}
