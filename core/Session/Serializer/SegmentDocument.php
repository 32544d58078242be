<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Session\Plan\Station;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;

/** What a track does for a while. */
final readonly class SegmentDocument
{
    public int $fromMs;
    public int $toMs;
    public ?int $track;
    public SegmentKind $kind;
    /** Id of the drill. */
    public ?string $drill;
    public Place $place;
    /** Which set it is, and in which lap. */
    public ?Station $station;

    public function __construct(Segment $segment)
    {
        $this->fromMs = $segment->fromMs;
        $this->toMs = $segment->toMs;
        $this->track = $segment->track;
        $this->kind = $segment->kind;
        $this->drill = $segment->set?->drill->definition()->id;
        $this->place = $segment->place;
        $this->station = $segment->station();
    }
}
