<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** What an entry of a file would do to the library. */
enum LineKind: string
{
    /** Not read yet. */
    case Waiting = 'waiting';
    case New = 'new';
    case Changed = 'changed';
    /** The library has the same already. */
    case Same = 'same';
    case Duplicate = 'duplicate';
    case Unreadable = 'unreadable';
    /** About something else than a combination. */
    case Remark = 'remark';
    case LeftOut = 'left-out';

    /** Tells whether it changes the library. */
    public function comesIn(): bool
    {
        return self::New === $this || self::Changed === $this;
    }
}
