<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Plan\PlanProblem;
use Periplus\Core\Session\Serializer\SessionDocument;

/** Everything that follows from a plan, with what the library says of its chains. */
final readonly class CheckedPlan extends SessionDocument
{
    /**
     * @param list<ShownChain> $chains each chain once, as it was typed
     * @param list<ChangedCombination> $changed what was changed or archived since the session was planned
     * @param list<PlanProblem> $more problems beside those of the document
     */
    public function __construct(
        SessionDocument $document,
        public array $chains,
        public array $changed,
        array $more,
    ) {
        parent::__construct(
            name: $document->name,
            seed: $document->seed,
            lengthMs: $document->lengthMs,
            tracks: $document->tracks,
            load: $document->load,
            warnings: $document->warnings,
            problems: [...$document->problems, ...$more],
            sets: $document->sets,
            needs: $document->needs,
            shared: $document->shared,
            seams: $document->seams,
            segments: $document->segments,
            cues: $document->cues,
        );
    }
}
