<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

final readonly class TimeZoneRequest
{
    public function __construct(public string $timeZone)
    {
    }
}
