<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

/** What a coach can do to a running session. */
enum CommandKind: string
{
    case Pause = 'pause';
    case Resume = 'resume';
    /** Jump to a moment of the programme: skip, back, or a tap on the session's line. */
    case Jump = 'jump';
    /** A minute more of the current work. */
    case Longer = 'longer';
    /** Another combination replaces one. */
    case Swap = 'swap';
    /** Repeat the round afterwards. */
    case Again = 'again';
    case End = 'end';

    /** Tells whether it changes the programme and not just the clock. */
    public function changesProgramme(): bool
    {
        return \in_array($this, [self::Longer, self::Swap, self::Again], true);
    }

    /** Tells whether a wall may do it with its own keys, even without the server. */
    public function isForWalls(): bool
    {
        return \in_array($this, [self::Pause, self::Resume, self::Jump], true);
    }
}
