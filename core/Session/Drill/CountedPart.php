<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** A number of repetitions of a chain at one pace. */
final readonly class CountedPart
{
    /**
     * @param int $eachMs from the start of one repetition to that of the next
     * @param string $pace such as "slow"; empty at the tempo of the set
     * @param DrillRun $run at its tempo
     */
    public function __construct(
        public Chain $chain,
        public int $count,
        public int $eachMs,
        public string $pace,
        public DrillRun $run,
    ) {
    }

    public function ms(): int
    {
        return $this->count * $this->eachMs;
    }
}
