<?php

declare(strict_types=1);

namespace Periplus\App\Check;

/** What can be asked for beside the check of a chain, in the order in which it is answered: the quickest first. */
enum Part: string
{
    /** What can follow. */
    case Next = 'next';
    /** What can be done by hand with the item at the cursor. */
    case Edits = 'edits';
    /** What the library has that is the same or near. */
    case Similar = 'similar';
    /** What mends the chain. */
    case Mends = 'mends';
}
