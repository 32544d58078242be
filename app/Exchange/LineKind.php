<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** What an entry of a file would do to the library. */
enum LineKind: string
{
    /** It is not read yet. */
    case Waiting = 'waiting';
    case New = 'new';
    case Changed = 'changed';
    /** It is in the library just so. */
    case Same = 'same';
    case Duplicate = 'duplicate';
    case Unreadable = 'unreadable';
    case LeftOut = 'left-out';

    /** Whether it does something to the library. */
    public function comesIn(): bool
    {
        return self::New === $this || self::Changed === $this;
    }
}
