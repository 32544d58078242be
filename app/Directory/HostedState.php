<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

/** What may be done with one of several gyms. */
enum HostedState: string
{
    case Serves = 'serves';
    /** It is upgraded, moved or archived: it can be read. */
    case ReadOnly = 'read-only';
    /** It is in a file, and its database is gone. */
    case Archived = 'archived';
}
