<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

/** How a combination is announced. */
enum Says: string
{
    case Numbers = 'numbers';
    case Names = 'names';
    /** Numbers, then names. */
    case Both = 'both';
}
