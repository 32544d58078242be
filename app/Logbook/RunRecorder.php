<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Http\ApiProblem;
use Periplus\App\Plan\Plans;
use Periplus\App\Run\Run;
use Periplus\App\Run\RunObserver;
use Periplus\App\Run\Runs;

/** Makes an entry of the logbook of every session that ran, by itself. A rehearsal counts as nothing. */
final readonly class RunRecorder implements RunObserver
{
    /** ms that are looked back for a session whose end was not taken in */
    private const BACK = 14 * 86_400_000;

    public function __construct(private Logbook $logbook, private Plans $plans, private Runs $runs)
    {
    }

    public function ended(Run $run): void
    {
        if ($run->isRehearsal()) {
            return;
        }
        [$drilled, $workMs] = $this->runs->drilled($run);
        $course = null;
        try {
            $course = null === $run->plan ? null : $this->plans->get($run->plan)->course['id'] ?? null;
        } catch (ApiProblem) {
            // The plan is gone; what ran has happened all the same.
        }
        $this->logbook->takeIn($run, $drilled, $workMs, $course);
    }

    /** Takes in what is missing: a server that was killed between the end of a session and its entry has missed it. */
    public function catchUp(): void
    {
        $this->runs->running();
        $ended = array_filter($this->runs->endedSince($this->runs->now() - self::BACK), static fn (Run $run): bool => !$run->isRehearsal());
        $known = $this->logbook->knownRuns(array_values(array_map(static fn (Run $run): int => $run->id, $ended)));
        foreach ($ended as $run) {
            if (!isset($known[$run->id])) {
                $this->ended($run);
            }
        }
    }
}
