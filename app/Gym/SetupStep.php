<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

/** The steps of setting up a new gym, in the order in which they are shown. */
enum SetupStep: string
{
    case Gym = 'gym';
    case Numbering = 'numbering';
    case Training = 'training';
    case Library = 'library';
}
