<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Periplus\App\Store\GymPlace;

/** The entry of a gym in the directory, as requests cache it for two seconds. */
final readonly class FoundGym
{
    public function __construct(public GymPlace $place, public HostedState $state)
    {
    }
}
