<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\RoundStance;

/** An event at one moment of a session. */
final readonly class Cue
{
    public string $short;

    /**
     * @param int $atMs from the start of the session
     * @param int|null $track whose it is, counted from 0; everybody's when null
     * @param string $text in the numbering of the plan
     * @param Place $place its position in the plan
     * @param Chain|null $chain what is thrown
     * @param RoundStance $stance in which
     * @param list<int> $marked places of items that are new
     * @param int|null $lengthMs how long the chain takes
     * @param list<string> $reminders that are shown with it
     * @param string|null $before what comes before the chain, such as "2 squats, then"
     * @param string|null $after what follows the chain, such as "then free"
     * @param string|null $short the text without what a screen shows beside it; the same text when null
     * @param list<Beside> $beside other chains to choose from
     * @param CheckOptions|null $options with which the chain is checked and timed; those of the plan when null
     * @param int|null $forMs when what is announced begins
     */
    public function __construct(
        public int $atMs,
        public ?int $track,
        public CueKind $kind,
        public string $text,
        public Place $place,
        public ?Chain $chain = null,
        public RoundStance $stance = RoundStance::Own,
        public array $marked = [],
        public ?int $lengthMs = null,
        public array $reminders = [],
        public ?string $before = null,
        public ?string $after = null,
        ?string $short = null,
        public array $beside = [],
        public ?CheckOptions $options = null,
        public ?int $forMs = null,
    ) {
        $this->short = $short ?? $text;
    }

    /**
     * @param int $atMs from the start of the session
     * @param int|null $forMs when what is announced begins
     */
    public static function of(DrillCue $cue, int $atMs, ?int $track, Place $place, ?int $forMs = null): self
    {
        return new self(
            atMs: $atMs,
            track: $track,
            kind: $cue->kind,
            text: $cue->text,
            place: $place,
            chain: $cue->chain,
            stance: $cue->stance,
            marked: $cue->marked,
            lengthMs: $cue->lengthMs,
            reminders: [],
            before: $cue->before,
            after: $cue->after,
            short: $cue->short,
            beside: $cue->beside,
            options: $cue->options,
            forMs: $forMs,
        );
    }

    /**
     * Tells whether it says what is drilled from now on. A change of drills does not, because the drill's own cue
     * follows.
     */
    public function stands(): bool
    {
        return $this->kind->stands() && (CueKind::Change !== $this->kind || null !== $this->chain);
    }

    /** @param list<string> $reminders */
    public function with(array $reminders): self
    {
        return new self(
            atMs: $this->atMs,
            track: $this->track,
            kind: $this->kind,
            text: $this->text,
            place: $this->place,
            chain: $this->chain,
            stance: $this->stance,
            marked: $this->marked,
            lengthMs: $this->lengthMs,
            reminders: $reminders,
            before: $this->before,
            after: $this->after,
            short: $this->short,
            beside: $this->beside,
            options: $this->options,
            forMs: $this->forMs,
        );
    }
}
