<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** What was done about a proposal. */
enum ProposalStepKind: string
{
    case Proposed = 'proposed';
    case Revised = 'revised';
    case Returned = 'returned';
    case Approved = 'approved';
    case Withdrawn = 'withdrawn';

    /** The state that it leads to. */
    public function state(): ProposalState
    {
        return match ($this) {
            self::Proposed, self::Revised => ProposalState::Open,
            self::Returned => ProposalState::Returned,
            self::Approved => ProposalState::Approved,
            self::Withdrawn => ProposalState::Withdrawn,
        };
    }
}
