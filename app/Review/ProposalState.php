<?php

declare(strict_types=1);

namespace Periplus\App\Review;

enum ProposalState: string
{
    /** Waits for the head coach's decision. */
    case Open = 'open';
    /** Waits for the author's answer to a remark. */
    case Returned = 'returned';
    case Approved = 'approved';
    case Withdrawn = 'withdrawn';

    public function isDecided(): bool
    {
        return self::Approved === $this || self::Withdrawn === $this;
    }
}
