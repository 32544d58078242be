<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Stores something that is limited for each gym; shown on the Status page. */
#[AutoconfigureTag]
interface HasQuota
{
    public function quota(): Quota;
}
