<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** What a gym did with an offer. */
enum OfferAnswer: string
{
    /** Its proposal waits in the review. */
    case Proposed = 'proposed';
    case Accepted = 'accepted';
    case Declined = 'declined';
}
