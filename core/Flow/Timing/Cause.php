<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

/** What a link waits for. */
enum Cause: string
{
    case Limb = 'limb';
    case Load = 'load';
    case Turn = 'turn';
    case Feet = 'feet';
    /** The head is already on the side it should move to. */
    case Head = 'head';
    case Range = 'range';
}
