<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Is notified when a session has ended, and again when a wall reports late. */
#[AutoconfigureTag]
interface RunObserver
{
    public function ended(EndedRun $ended): void;
}
