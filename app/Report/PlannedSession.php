<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A planned session beside its entry in the logbook. */
final readonly class PlannedSession
{
    /**
     * @param int|null $entry null when it is not in the logbook
     * @param string $day such as 2026-11-26
     * @param list<CombinationBrief> $left planned and not drilled
     * @param list<CombinationBrief> $added drilled and not planned
     */
    public function __construct(
        public int $plan,
        public ?int $entry,
        public string $name,
        public ?string $course,
        public string $day,
        public int $plannedMs,
        public ?int $doneMs,
        public array $left,
        public array $added,
    ) {
    }
}
