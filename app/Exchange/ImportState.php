<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** How far an import has come. */
enum ImportState: string
{
    case Reading = 'reading';
    /** Every entry is read; it can be looked at and put in place. */
    case Ready = 'ready';
    case Applied = 'applied';
    case Undone = 'undone';
}
