<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Plan\Set;
use Periplus\Core\Session\Plan\Station;

/** A stretch of the clock in which one track does one thing. */
final readonly class Segment
{
    /**
     * @param int|null $track null for everybody
     * @param Set|null $set null in a rest or a changeover
     * @param DrillRun|null $run as the drill is done here
     */
    public function __construct(
        public int $fromMs,
        public int $toMs,
        public ?int $track,
        public SegmentKind $kind,
        public Place $place,
        public ?Set $set = null,
        public ?DrillRun $run = null,
    ) {
    }

    /** Returns which set of the round it is; null where there is none, or only one. */
    public function station(): ?Station
    {
        $station = SegmentKind::Rest === $this->kind ? null : $this->set?->station;

        return null === $station || 1 === $station->stations * $station->laps ? null : $station;
    }

    public function ms(): int
    {
        return $this->toMs - $this->fromMs;
    }
}
