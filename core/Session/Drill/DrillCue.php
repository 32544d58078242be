<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** An event at one moment of a drill. */
final readonly class DrillCue
{
    public string $short;

    /**
     * @param int $atMs from the start of the drill's stretch of work
     * @param string $text in the numbering of the plan
     * @param Chain|null $chain what is thrown, for the words in both stances
     * @param list<int> $marked places of the chain's items that are new
     * @param int|null $lengthMs how long the chain takes at its tempo
     * @param string|null $before what is done before the chain, such as two squats
     * @param string|null $after what follows the chain, such as free
     * @param string|null $short the text without what a screen shows beside it; the same text when null
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
        public ?string $after = null,
        ?string $short = null,
    ) {
        $this->short = $short ?? $text;
    }

    /** Returns its announcement at another moment. */
    public function announced(int $atMs = 0): self
    {
        return new self(
            atMs: $atMs,
            kind: CueKind::Next,
            text: 'Next: '.$this->text,
            chain: $this->chain,
            stance: $this->stance,
            marked: [],
            lengthMs: $this->lengthMs,
            before: $this->before,
            after: $this->after,
            short: $this->short,
        );
    }
}
