<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

enum ItemEditKind: string
{
    case LeaveOut = 'leave-out';
    case Earlier = 'earlier';
    case Later = 'later';
    case Target = 'target';
    /** Light, hard or plain; feinted or delivered. */
    case Effort = 'effort';
    /** Another strike or move of the same kind. */
    case Exchange = 'exchange';
}
