<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** The version of the application, as the Status page shows it. */
final readonly class Version
{
    public const NUMBER = '1.0';
}
