<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Drill\CueKind;

/** The sound of a cue, other than the voice. */
enum Sound: string
{
    /** Work starts. */
    case Bell = 'bell';
    /** Work ends: the bell twice. */
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
