<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Somebody who is told once a session has ended, and again when a wall says later what it has shown of it. */
#[AutoconfigureTag]
interface RunObserver
{
    public function ended(EndedRun $ended): void;
}
