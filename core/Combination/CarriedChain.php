<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** The same limbs in the other stance, and what had to be replaced on the way. */
final readonly class CarriedChain
{
    /** @param list<MirrorChange> $replaced */
    public function __construct(public ChainInStance $inStance, public array $replaced)
    {
    }
}
