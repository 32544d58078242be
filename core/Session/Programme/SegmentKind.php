<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

enum SegmentKind: string
{
    case Work = 'work';
    /** The coach explains or demonstrates; athletes listen. */
    case Listen = 'listen';
    case Rest = 'rest';
    case Changeover = 'changeover';
}
