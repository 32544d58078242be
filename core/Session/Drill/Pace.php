<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use function Periplus\Core\Language\t;

/** A tempo in a word. */
enum Pace: string
{
    case Slow = 'slow';
    case Working = 'working';
    case Fast = 'fast';

    /** Returns the word for a tempo between those of the house values. */
    public static function of(float $tempo): self
    {
        return match (true) {
            $tempo < (1.0 + self::Fast->tempo()) / 2 => self::Fast,
            $tempo > (1.0 + self::Slow->tempo()) / 2 => self::Slow,
            default => self::Working,
        };
    }

    public function tempo(): float
    {
        return match ($this) {
            self::Slow => (float) SessionValues::builtIn()->value('learning'),
            self::Working => 1.0,
            self::Fast => (float) SessionValues::builtIn()->value('fast'),
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::Slow => t('slow'),
            self::Working => t('working tempo'),
            self::Fast => t('fast'),
        };
    }
}
