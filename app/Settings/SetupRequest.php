<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Periplus\App\Gym\SetupOutcome;
use Periplus\App\Gym\SetupStep;

final readonly class SetupRequest
{
    public function __construct(public SetupStep $step, public SetupOutcome $outcome)
    {
    }
}
