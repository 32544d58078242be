<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Wall\WallChain;

/** The combination of the week on an idle wall. */
final readonly class IdleCombination
{
    /** @param int $times how often the sessions of the week plan it */
    public function __construct(public string $name, public int $times, public WallChain $chain)
    {
    }
}
