<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\Period;

/** What was planned in a period against what was done. */
final readonly class PlannedReport
{
    public string $from;
    public string $to;
    /** How many of the sessions are in the logbook, and their planned and real length. */
    public int $logged;
    public int $plannedMs;
    public int $doneMs;

    /** @param list<PlannedSession> $sessions the latest first */
    public function __construct(Period $period, public array $sessions)
    {
        $this->from = $period->from;
        $this->to = $period->to;
        $logged = array_filter($sessions, static fn (PlannedSession $one): bool => null !== $one->entry);
        $this->logged = \count($logged);
        $this->plannedMs = array_sum(array_map(static fn (PlannedSession $one): int => $one->plannedMs, $logged));
        $this->doneMs = array_sum(array_map(static fn (PlannedSession $one): int => (int) $one->doneMs, $logged));
    }
}
