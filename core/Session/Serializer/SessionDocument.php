<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Session\Plan\PlanProblem;

/** Everything that follows from a plan; docs/formats/session.md describes every key. */
readonly class SessionDocument
{
    /**
     * @param list<TrackDocument> $tracks
     * @param array<string, LoadDocument> $load of the first track, by the athlete's stance
     * @param list<WarningDocument> $warnings
     * @param list<PlanProblem> $problems
     * @param list<SetDocument> $sets that are done, in words
     * @param list<string> $needs what is needed
     * @param list<SharedItems> $shared
     * @param list<SeamDocument> $seams
     * @param list<SegmentDocument> $segments
     * @param list<CueDocument> $cues
     */
    public function __construct(
        public string $name,
        public int $seed,
        public int $lengthMs,
        public array $tracks,
        public array $load,
        public array $warnings,
        public array $problems,
        public array $sets,
        public array $needs,
        public array $shared,
        public array $seams,
        public array $segments,
        public array $cues,
    ) {
    }
}
