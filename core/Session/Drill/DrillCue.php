<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Options\CheckOptions;

use function Periplus\Core\Language\t;

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
     * @param string|null $before what comes before the chain, such as "2 squats, then"
     * @param string|null $after what follows the chain, such as "then free"
     * @param string|null $short the text without what a screen shows beside it; the same text when null
     * @param list<Beside> $beside other chains to choose from
     * @param CheckOptions|null $options with which the chain is checked and timed; those of the plan when null
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
        public array $beside = [],
        public ?CheckOptions $options = null,
    ) {
        $this->short = $short ?? $text;
    }

    /**
     * Returns its announcement.
     *
     * @param string $name of the round that comes; may be empty
     */
    public function announced(string $name = '', int $atMs = 0): self
    {
        $named = '' === $name ? '' : $name.':';

        return new self(
            atMs: $atMs,
            kind: CueKind::Next,
            text: t('Next: {what}', what: trim($named.' '.$this->text)),
            chain: $this->chain,
            stance: $this->stance,
            marked: $this->marked,
            lengthMs: $this->lengthMs,
            before: null === $this->chain || '' === $name ? $this->before : trim($named.' '.$this->before),
            after: $this->after,
            short: null === $this->chain ? trim($named.' '.$this->short) : $this->short,
            beside: $this->beside,
            options: $this->options,
        );
    }

    /** @param list<Beside> $beside */
    public function withBeside(array $beside): self
    {
        return new self(
            atMs: $this->atMs,
            kind: $this->kind,
            text: $this->text,
            chain: $this->chain,
            stance: $this->stance,
            marked: $this->marked,
            lengthMs: $this->lengthMs,
            before: $this->before,
            after: $this->after,
            short: $this->short,
            beside: [...$this->beside, ...$beside],
            options: $this->options,
        );
    }
}
