<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Plan\Plan;
use Periplus\Core\Session\Log\Coverage;
use Periplus\Core\Session\Log\DrilledCounter;

/**
 * Ends overdue sessions and computes the work that was really done: from what the walls showed, or, without walls, from
 * the clock at each command.
 */
final readonly class RunWork
{
    /** Time in ms after its end at which a session counts as ended without a command. */
    private const GRACE_PERIOD_MS = 600_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Runs $runs,
        private Programmes $programmes,
    ) {
    }

    /**
     * Ends sessions that are over, as of the moment they were over.
     *
     * @return list<RunView> what it has ended
     */
    public function endOverdue(): array
    {
        $now = $this->runs->now();
        $ended = [];
        foreach ($this->runs->going() as $view) {
            if ($view->isOverdue($now, self::GRACE_PERIOD_MS)) {
                $ended[] = $this->entities->wrapInTransaction(function () use ($view, $now): ?RunView {
                    $run = $this->runs->hold($view->id);
                    if (!$run->view()->isOverdue($now, self::GRACE_PERIOD_MS)) {
                        return null;
                    }
                    $run->update($run->state()->ended($run->state()->timeOf($run->lengthMs())));

                    return $run->view();
                });
            }
        }

        return array_values(array_filter($ended));
    }

    public function endedRun(RunView $view): EndedRun
    {
        $run = $this->runs->get($view->id);
        $programme = $this->programmes->build($run->content(), $this->runs->amendments($view->id));
        $elapsedMs = max(0, ($view->endedMs ?? $view->startedMs) - $view->startedMs) * $view->state->speed;
        $coverage = $this->coverage($view)->atMost($elapsedMs);
        $course = null === $view->plan ? null : $this->entities->find(Plan::class, $view->plan)?->course();

        return new EndedRun(
            $view,
            $course?->id(),
            DrilledCounter::drilled($programme, $coverage),
            DrilledCounter::workMs($programme, $coverage),
        );
    }

    private function coverage(RunView $run): Coverage
    {
        $shown = $this->runs->shown($run->id);
        if ([] !== $shown) {
            return Coverage::ofShown(
                array_map(
                    static fn (ShownRow $row): array => [
                        'passage' => $row->passage,
                        'cueMs' => $row->cueMs(),
                        'shownMs' => $row->shownMs,
                    ],
                    $shown,
                ),
                array_map(ShownRow::momentOf(...), array_keys($this->programmes->cues($run->id))),
                $run->lengthMs,
                $run->endedMs ?? \PHP_INT_MAX,
            );
        }
        $from = 0;
        $stretches = [];
        foreach ($this->runs->commands($run->id) as $command) {
            if (null !== $command->leftMs()) {
                $stretches[] = [$from, $command->leftMs()];
                $from = max(0, $command->cameMs());
            }
        }
        $stretches[] = [$from, min($run->lengthMs, $run->state->position($run->endedMs ?? 0))];

        return new Coverage(
            array_values(array_filter($stretches, static fn (array $stretch): bool => $stretch[1] > $stretch[0])),
        );
    }
}
