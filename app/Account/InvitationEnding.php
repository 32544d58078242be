<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** The reason why a link is no longer valid. */
enum InvitationEnding: string
{
    case Used = 'used';
    case Withdrawn = 'withdrawn';
    /** A newer link was created for the same account. */
    case Replaced = 'replaced';
    /** The account has a new password. */
    case Password = 'password';
    case Blocked = 'blocked';
    case Demoted = 'demoted';
    /** Its creator may not create links any more. */
    case Maker = 'maker';
}
