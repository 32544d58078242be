<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Periplus\App\Store\GymPlace;

/** What the directory says of a gym, as it is kept for a moment. */
final readonly class FoundGym
{
    public function __construct(public GymPlace $place, public HostedState $state)
    {
    }
}
