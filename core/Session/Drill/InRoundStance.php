<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** A chain, and the stance of the round in which it is thrown. */
final readonly class InRoundStance
{
    public function __construct(public Chain $chain, public RoundStance $stance)
    {
    }
}
