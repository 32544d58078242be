<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** The purpose of a link. */
enum InvitationKind: string
{
    /** A new account. */
    case Invite = 'invite';
    /** A new password. */
    case Reset = 'reset';
    /** The first head coach of a new gym. */
    case Setup = 'setup';
}
