<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence as ChainSequence;

/** A combination to be ordered. */
final readonly class Stop
{
    public ChainSequence $sequence;

    /** @param int $level 1 to 3 */
    public function __construct(public Chain $chain, public int $level)
    {
        $this->sequence = ChainSequence::of($chain);
    }
}
