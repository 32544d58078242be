<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/**
 * What was said of one strike, such as "hard left low kick", "double jab" or "fake 1": nothing is decided yet that depends
 * on the stance, the numbering or what came before. It has a noun or a number.
 */
final readonly class StrikePhrase
{
    /**
     * @param string $noun as {@see StrikePhraseParser} knows it; empty where there is a number
     * @param string $code a number of a numbering; empty where there is a noun
     * @param string $letters what stands directly after the number: "b" in "3b"
     * @param Target|null $target as said in words
     * @param bool $isLow said as "low": for a hand this means under the guard
     * @param int $times how often it is thrown: 2 for "double jab"
     * @param Span $head the noun or the number alone
     * @param Span $span all of it
     * @param int $next place of the token after it
     */
    public function __construct(
        public string $noun,
        public string $code,
        public string $letters,
        public Role|Side|null $side,
        public ?Target $target,
        public bool $isLow,
        public Effort $effort,
        public bool $feint,
        public bool $landsForward,
        public int $times,
        public Span $head,
        public Span $span,
        public int $next,
    ) {
    }

    /** The target that was said, as that strike has it; null when none was said. It may be one that the strike does not go to. */
    public function targetOf(Strike $strike): ?Target
    {
        return $this->isLow && Target::Leg === $this->target && !\in_array(Target::Leg, $strike->targets, true) ? Target::Body : $this->target;
    }
}
