<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

enum NotesKind
{
    /** It can be read. */
    case Chain;
    /** It names strikes or moves and cannot be read yet: the coach is asked. */
    case Unclear;
    /** It is about something else. */
    case Remark;
    /** Belongs to what is under it. */
    case Heading;
}
