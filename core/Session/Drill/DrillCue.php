<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** One thing that happens at one moment of a drill. */
final readonly class DrillCue
{
    /**
     * @param int $atMs from the start of the drill's stretch of work
     * @param string $text in the numbering of the plan
     * @param Chain|null $chain what is thrown, for the words in both stances
     * @param list<int> $marked places of the chain's items that are new
     * @param int|null $lengthMs how long the chain takes at its tempo
     * @param string|null $before what is done before the chain, such as two squats
     */
    public function __construct(
        public int $atMs,
        public CueKind $kind,
        public string $text,
        public ?Chain $chain = null,
        public RoundStance $stance = RoundStance::Own,
        public array $marked = [],
        public ?int $lengthMs = null,
        public ?string $before = null,
    ) {
    }
}
