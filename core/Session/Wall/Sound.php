<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Drill\CueKind;

/** What is heard with a cue, besides a voice. */
enum Sound: string
{
    /** Work begins. */
    case Bell = 'bell';
    /** Work is over: the bell twice. */
    case EndBell = 'end-bell';
    /** The last ten seconds: the clap of two sticks. */
    case Clap = 'clap';

    public static function of(CueKind $kind): ?self
    {
        return match ($kind) {
            CueKind::Bell => self::Bell,
            CueKind::Rest, CueKind::End, CueKind::Changeover => self::EndBell,
            CueKind::LastTen => self::Clap,
            default => null,
        };
    }
}
