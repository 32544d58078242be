<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\Combination;

/** The combination that a proposal changes. */
final readonly class ProposedFor
{
    public int $id;
    public string $name;
    public int $version;
    public bool $archived;

    public function __construct(Combination $combination)
    {
        $this->id = $combination->id();
        $this->name = $combination->content()->name;
        $this->version = $combination->version();
        $this->archived = !$combination->isInUse();
    }
}
