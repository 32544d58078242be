<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** A page of proposals. */
final readonly class ProposalPage
{
    /**
     * @param list<Proposal> $proposals the one that waits longest first; of what is decided, the newest first
     * @param int $total how many there are in all
     */
    public function __construct(public array $proposals, public int $total)
    {
    }
}
