<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What a move does with the feet. */
enum Feet: string
{
    case Stay = 'stay';
    case Step = 'step';
    case Turn = 'turn';
    /** The stance changes. */
    case Change = 'change';
    /** The feet stay crossed or side by side until the next step. */
    case Cross = 'cross';
}
