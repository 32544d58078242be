<?php

declare(strict_types=1);

namespace Periplus\App\Review;

enum ProposalState: string
{
    /** The head coach is to decide. */
    case Open = 'open';
    /** Its author is to answer a remark. */
    case Returned = 'returned';
    case Approved = 'approved';
    case Withdrawn = 'withdrawn';

    public function isDecided(): bool
    {
        return self::Approved === $this || self::Withdrawn === $this;
    }
}
