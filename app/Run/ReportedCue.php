<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** A cue that a wall has shown. */
final readonly class ReportedCue
{
    public string $passage;
    public string $cue;
    public int $atMs;
    public ?string $kind;
    public ?string $text;
    public bool $stands;
    public ?int $track;
    public ?string $wall;

    /** @param PlayedCue|null $cue null when no version of the programme has it */
    public function __construct(ShownRow $row, ?PlayedCue $cue)
    {
        $this->passage = $row->passage;
        $this->cue = $row->cue;
        $this->atMs = $row->shownMs;
        $this->kind = $cue?->kind;
        $this->text = $cue?->text;
        $this->stands = $cue->stands ?? false;
        $this->track = $cue?->track;
        $this->wall = $row->wall;
    }
}
