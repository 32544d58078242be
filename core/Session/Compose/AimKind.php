<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** What a session is to be about. */
enum AimKind: string
{
    /** What is overdue by the logbook, then what was never drilled, then what was drilled least. */
    case Due = 'due';
    case Theme = 'theme';
    case Weapon = 'weapon';
}
