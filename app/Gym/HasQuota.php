<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Keeps something of which a gym has a bounded amount; shown on the Status page. */
#[AutoconfigureTag]
interface HasQuota
{
    public function quota(): Quota;
}
