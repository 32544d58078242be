<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

enum EditKind: string
{
    /** A move or a beat goes in before that place. */
    case Insert = 'insert';
    /** The strike at that place becomes another of its kind. */
    case Exchange = 'exchange';
    case Drop = 'drop';
}
