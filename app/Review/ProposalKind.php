<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** What a proposal would do to the library. */
enum ProposalKind: string
{
    case Addition = 'new';
    case Change = 'change';
    case Retirement = 'retire';
}
