<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** How long a combination was drilled in a session, in ms, and how much of it in the southpaw stance. */
final readonly class CombinationTime
{
    public function __construct(public int $ms, public int $southpawMs)
    {
    }
}
