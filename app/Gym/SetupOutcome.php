<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

/** The outcome of a setup step; a skipped one can be done later. */
enum SetupOutcome: string
{
    case Done = 'done';
    case Skipped = 'skipped';
}
