<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Programme\Cue;

/** A cue as screens show and ring it. */
final readonly class WallCue
{
    public int $atMs;
    public ?int $track;
    public CueKind $kind;
    public string $text;
    public string $short;
    /** Tells whether it says what is drilled from now on. */
    public bool $stands;
    public bool $isStep;
    public ?string $before;
    public ?string $after;
    public RoundStance $stance;
    public ?int $lengthMs;
    /** @var list<int> */
    public array $marked;
    /** @var list<string> */
    public array $reminders;
    public ?Sound $sound;

    /**
     * @param string $key by which a screen reports that it was shown
     * @param int|null $chain place in the list of chains
     * @param list<WallBeside> $beside other chains to choose from
     */
    public function __construct(Cue $cue, public string $key, public ?int $chain, public array $beside)
    {
        $this->atMs = $cue->atMs;
        $this->track = $cue->track;
        $this->kind = $cue->kind;
        $this->text = $cue->text;
        $this->short = $cue->short;
        $this->stands = $cue->stands();
        $this->isStep = $cue->kind->isStep();
        $this->before = $cue->before;
        $this->after = $cue->after;
        $this->stance = $cue->stance;
        $this->lengthMs = $cue->lengthMs;
        $this->marked = $cue->marked;
        $this->reminders = $cue->reminders;
        $this->sound = Sound::of($cue->kind);
    }
}
