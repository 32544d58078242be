<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Gym\GymSettings;
use Periplus\App\Logbook\DrilledRow;
use Periplus\App\Logbook\LogEntries;
use Periplus\App\Logbook\LogEntry;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Plan\PlanRow;
use Periplus\App\Plan\Plans;
use Periplus\Core\Notation\Numbering;

/** Compares the sessions that were planned with those of the logbook. */
final readonly class PlannedReports
{
    private const MAX_SESSIONS = 100;

    public function __construct(
        private Plans $plans,
        private LogEntries $entries,
        private Briefs $briefs,
        private GymSettings $gym,
    ) {
    }

    public function compute(LogFilter $filter, Numbering $numbering): PlannedReport
    {
        $period = $filter->period;
        // What is still to come is neither done nor left out.
        $to = min($period->to, $this->gym->today()->format('Y-m-d'));
        $plans = $period->from > $to
            ? []
            : \array_slice(
                array_reverse($this->plans->between($period->from, $to, $filter->course)),
                0,
                self::MAX_SESSIONS,
            );
        $ids = array_map(static fn (PlanRow $plan): int => $plan->id, $plans);
        $planned = array_map(self::combinations(...), $this->plans->contents($ids));
        $entries = $this->entries->ofPlans($plans, $this->gym->timeZone());
        $drilled = array_map(
            static fn (LogEntry $entry): array => array_values(array_unique(array_filter(
                array_map(static fn (DrilledRow $row): ?int => $row->combination, $entry->drilled()),
                \is_int(...),
            ))),
            $entries,
        );
        $briefs = $this->briefs->read(
            array_values(array_unique(array_merge(...array_values($planned), ...array_values($drilled)))),
            $numbering,
        );

        return new PlannedReport($period, array_map(
            fn (PlanRow $plan): PlannedSession => new PlannedSession(
                plan: $plan->id,
                entry: ($entries[$plan->id] ?? null)?->id(),
                name: $plan->name,
                course: $plan->courseName,
                day: (string) $plan->startsAt?->setTimezone($this->gym->timeZone())->format('Y-m-d'),
                plannedMs: $plan->lengthMs,
                doneMs: ($entries[$plan->id] ?? null)?->lengthMs(),
                left: isset($entries[$plan->id])
                    ? self::without($briefs, $planned[$plan->id] ?? [], $drilled[$plan->id])
                    : [],
                added: isset($entries[$plan->id])
                    ? self::without($briefs, $drilled[$plan->id], $planned[$plan->id] ?? [])
                    : [],
            ),
            $plans,
        ));
    }

    /**
     * @param array<int, CombinationBrief> $briefs
     * @param list<int> $these
     * @param list<int> $others
     *
     * @return list<CombinationBrief> these that are not among the others
     */
    private static function without(array $briefs, array $these, array $others): array
    {
        return array_values(array_intersect_key($briefs, array_flip(array_diff($these, $others))));
    }

    /**
     * @param array<mixed> $content a written plan
     *
     * @return list<int> the combinations of the library in it, each once
     */
    private static function combinations(array $content): array
    {
        $ids = [];
        array_walk_recursive($content, static function (mixed $value, int|string $key) use (&$ids): void {
            if ('id' === $key && \is_int($value)) {
                $ids[$value] = true;
            }
        });

        return array_keys($ids);
    }
}
