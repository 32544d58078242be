<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

/** What a coach does to a session while it runs. */
enum CommandKind: string
{
    case Pause = 'pause';
    case Resume = 'resume';
    /** To a moment of the programme: skips, goes back, and whatever is tapped on the line of the session. */
    case Jump = 'jump';
    /** A minute more of what goes on. */
    case Longer = 'longer';
    /** Another combination in place of one. */
    case Swap = 'swap';
    /** The round once more after it. */
    case Again = 'again';
    case End = 'end';

    /** Whether it changes the programme, and not only where the clock stands. */
    public function changesProgramme(): bool
    {
        return \in_array($this, [self::Longer, self::Swap, self::Again], true);
    }

    /** Whether a wall may do it from its own keys, also without the server. */
    public function isForWalls(): bool
    {
        return \in_array($this, [self::Pause, self::Resume, self::Jump], true);
    }
}
