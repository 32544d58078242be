<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

enum EditKind: string
{
    /** Inserts a move or a beat before the index. */
    case Insert = 'insert';
    /** Replaces the strike at the index with another of its kind. */
    case Exchange = 'exchange';
    case Drop = 'drop';
}
