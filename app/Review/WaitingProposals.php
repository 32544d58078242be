<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** How many proposals wait, and what came of those of an author. */
final readonly class WaitingProposals
{
    /**
     * @param int $open for the head coach
     * @param int $returned for the author
     * @param int $approved of the author's
     * @param int $rejected of the author's, by somebody else
     */
    public function __construct(public int $open, public int $returned, public int $approved, public int $rejected)
    {
    }
}
