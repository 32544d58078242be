<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** One level's own pattern of work and rest on the shared clock. */
final readonly class Track
{
    /** @param int $level 1 to 3 */
    public function __construct(public string $name, public int $level)
    {
    }
}
