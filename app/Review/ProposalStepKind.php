<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** The kinds of steps of a proposal. */
enum ProposalStepKind: string
{
    case Proposed = 'proposed';
    case Revised = 'revised';
    case Returned = 'returned';
    case Approved = 'approved';
    case Withdrawn = 'withdrawn';

    /** Returns the state after the step. */
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
