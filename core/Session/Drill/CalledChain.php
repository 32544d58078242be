<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** A chain that is called at a moment of a set. */
final readonly class CalledChain
{
    public function __construct(public int $atMs, public Chain $chain)
    {
    }
}
