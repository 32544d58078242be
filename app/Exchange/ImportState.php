<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** The progress of an import. */
enum ImportState: string
{
    case Reading = 'reading';
    /** Every entry is read; it can be reviewed and applied. */
    case Ready = 'ready';
    case Applied = 'applied';
    case Undone = 'undone';
}
