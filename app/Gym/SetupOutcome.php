<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

/** How a step of the setup ended; a skipped one can be done later. */
enum SetupOutcome: string
{
    case Done = 'done';
    case Skipped = 'skipped';
}
