<?php

declare(strict_types=1);

namespace Periplus\App\Check;

/** The parts that can be requested with a check, in the order in which they are answered: fastest first. */
enum Part: string
{
    /** The chain seen from above. */
    case FromAbove = 'fromAbove';
    /** What can follow. */
    case Next = 'next';
    /** Changes by hand to the item at the cursor. */
    case Edits = 'edits';
    /** The same or similar combinations of the library. */
    case Similar = 'similar';
    /** Mends of the chain. */
    case Mends = 'mends';
}
