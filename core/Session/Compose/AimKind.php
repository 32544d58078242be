<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** What a session is to be about. */
enum AimKind: string
{
    /** What was drilled least. */
    case Due = 'due';
    case Theme = 'theme';
    case Weapon = 'weapon';
}
