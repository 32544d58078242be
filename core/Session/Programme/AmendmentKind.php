<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** How a programme is changed while it runs. */
enum AmendmentKind: string
{
    /** What goes on at a moment goes on for longer. */
    case Longer = 'longer';
    /** Another combination takes the place of one, from that round on. */
    case Swap = 'swap';
    /** A round is done once more. */
    case Again = 'again';
}
