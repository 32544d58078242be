<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Place;

/** A cue of a session. */
final readonly class CueDocument
{
    public int $atMs;
    public ?int $track;
    public CueKind $kind;
    public string $text;
    public RoundStance $stance;
    public ?int $lengthMs;
    /** @var list<int> */
    public array $marked;
    /** @var list<string> */
    public array $reminders;
    public Place $place;

    /**
     * @param list<BesideDocument> $beside other chains to choose from
     * @param array<string, string> $words by the athlete's stance
     * @param array<string, string|null>|null $numbers by the athlete's stance; null without a chain
     * @param Verdict|null $verdict of a chain that is thrown by itself
     */
    public function __construct(
        Cue $cue,
        public array $words,
        public ?array $numbers,
        public ?Verdict $verdict,
        public array $beside,
    ) {
        $this->atMs = $cue->atMs;
        $this->track = $cue->track;
        $this->kind = $cue->kind;
        $this->text = $cue->text;
        $this->stance = $cue->stance;
        $this->lengthMs = $cue->lengthMs;
        $this->marked = $cue->marked;
        $this->reminders = $cue->reminders;
        $this->place = $cue->place;
    }
}
