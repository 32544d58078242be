<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Plan\SessionPlan;

/** All cues of a session in order, and what each track does at any time. */
final readonly class Programme
{
    /**
     * @param list<Cue> $cues by time
     * @param list<Segment> $segments without a gap for each track, or for everybody
     * @param list<Cue> $opening announces the first work before the start, at moments below zero
     */
    public function __construct(
        public SessionPlan $plan,
        public array $cues,
        public array $segments,
        public int $lengthMs,
        public array $opening = [],
    ) {
    }

    /** @return list<int|null> the tracks; null alone when everybody works together */
    public function tracks(): array
    {
        return [] === $this->plan->tracks ? [null] : array_keys($this->plan->tracks);
    }

    /** @return list<Segment> of that track, those of everybody among them */
    public function segments(?int $track): array
    {
        return array_values(
            array_filter(
                $this->segments,
                static fn (Segment $segment): bool => null === $segment->track || $track === $segment->track,
            ),
        );
    }

    /** @return list<int> moments, in ms, at which the clock waits for the coach, in their order */
    public function waits(): array
    {
        $waits = [];
        foreach ($this->segments as $segment) {
            if (null !== $segment->set && $segment->set->drill->definition()->waits($segment->set->parameters)) {
                $waits[$segment->toMs] = $segment->toMs;
            }
        }
        sort($waits);

        return $waits;
    }

    /** @return list<int> moments, in ms, at which something else begins for a track: where one may jump to */
    public function stretches(): array
    {
        $starts = array_values(
            array_unique(array_map(static fn (Segment $segment): int => $segment->fromMs, $this->segments)),
        );
        sort($starts);

        return $starts;
    }

    /** Returns the work of that track in ms; the rest of the time is rest. */
    public function workMs(?int $track): int
    {
        return array_sum(
            array_map(
                static fn (Segment $segment): int => SegmentKind::Work === $segment->kind ? $segment->ms() : 0,
                $this->segments($track),
            ),
        );
    }
}
