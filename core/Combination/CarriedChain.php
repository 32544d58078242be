<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** A chain thrown by the same limbs in the other stance, with the replacements that this required. */
final readonly class CarriedChain
{
    /** @param list<MirrorChange> $replaced */
    public function __construct(public ChainInStance $inStance, public array $replaced)
    {
    }
}
