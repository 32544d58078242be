<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

enum MoveKind: string
{
    case Defence = 'defence';
    case Footwork = 'footwork';
    case Contact = 'contact';
    /** Where a chain begins, before its first item. */
    case Start = 'start';
}
