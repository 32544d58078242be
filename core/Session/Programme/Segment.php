<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Plan\Set;

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

    public function ms(): int
    {
        return $this->toMs - $this->fromMs;
    }
}
