<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** The kinds of changes of a running programme. */
enum AmendmentKind: string
{
    /** The current work gets longer. */
    case Longer = 'longer';
    /** Another combination replaces one, from that round on. */
    case Swap = 'swap';
    /** A round is repeated. */
    case Again = 'again';
}
