<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use function Periplus\Core\Language\t;

/** A moment of work or rest that the voice calls. */
enum TimeCall: string
{
    case Half = 'half';
    case Minute = 'minute';
    case Thirty = 'thirty';
    case Fifteen = 'fifteen';
    case Ten = 'ten';
    /** Three, two, one at the end of work. */
    case CountOut = 'count-out';
    /** Three, two, one before work begins. */
    case CountIn = 'count-in';
    /** Ten seconds before a rest ends. */
    case Ready = 'ready';

    public function title(): string
    {
        return match ($this) {
            self::Half => t('half time'),
            self::Minute => t('last minute'),
            self::Thirty => t('thirty seconds'),
            self::Fifteen => t('fifteen seconds'),
            self::Ten => t('ten seconds'),
            self::CountOut => t('three, two, one at the end'),
            self::CountIn => t('three, two, one before work'),
            self::Ready => t('get ready before a rest ends'),
        };
    }
}
