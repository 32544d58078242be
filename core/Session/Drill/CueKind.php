<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** What happens at a cue. */
enum CueKind: string
{
    /** Work starts. */
    case Bell = 'bell';
    /** A combination is shown from now on. */
    case Show = 'show';
    /** The next combination is announced. */
    case Next = 'next';
    /** Change to the announced combination. */
    case Change = 'change';
    case Rung = 'rung';
    case Step = 'step';
    case Count = 'count';
    case Phase = 'phase';
    case On = 'on';
    case Off = 'off';
    case Side = 'side';
    case Stance = 'stance';
    case Theme = 'theme';
    case Answer = 'answer';
    case Defence = 'defence';
    case Counter = 'counter';
    case Call = 'call';
    case LastCall = 'last-call';
    /** A number of repetitions begins. */
    case Repetitions = 'repetitions';
    /** One of several entries that are counted. */
    case Entry = 'entry';
    /** A repetition that is counted aloud. */
    case Aloud = 'aloud';
    case Exercise = 'exercise';
    case Demonstration = 'demonstration';
    case Talk = 'talk';
    case LastTen = 'last-ten';
    case Rest = 'rest';
    case Changeover = 'changeover';
    case End = 'end';

    /** Tells whether it says what is drilled until the next such cue. */
    public function stands(): bool
    {
        return match ($this) {
            self::Show,
            self::Change,
            self::Rung,
            self::Step,
            self::Repetitions,
            self::Side,
            self::Stance,
            self::Theme,
            self::Call,
            self::LastCall,
            self::Exercise,
            self::Demonstration,
            self::Talk => true,
            default => false,
        };
    }

    /** Tells whether it is one of several steps of a drill, such as the rungs of a ladder. */
    public function isStep(): bool
    {
        return match ($this) {
            self::Rung,
            self::Step,
            self::Count,
            self::Repetitions,
            self::Entry,
            self::Phase,
            self::On,
            self::Off,
            self::Side,
            self::Stance,
            self::Theme,
            self::Answer,
            self::Defence,
            self::Counter => true,
            default => false,
        };
    }
}
