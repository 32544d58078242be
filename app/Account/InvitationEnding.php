<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** Why a link is good no longer. */
enum InvitationEnding: string
{
    case Used = 'used';
    case Withdrawn = 'withdrawn';
    /** Another was made for the same account. */
    case Replaced = 'replaced';
    /** The account has a new password. */
    case Password = 'password';
    case Blocked = 'blocked';
    case Demoted = 'demoted';
    /** Whoever made it may make none any more. */
    case Maker = 'maker';
}
