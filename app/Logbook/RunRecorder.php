<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Run\EndedRun;
use Periplus\App\Run\RunObserver;
use Periplus\App\Run\Runs;
use Periplus\App\Run\RunView;
use Periplus\App\Run\RunWork;

/** Creates a logbook entry for every session that ran. Rehearsals do not count. */
final readonly class RunRecorder implements RunObserver
{
    /** How far back sessions without an entry are searched for, in ms. */
    private const LOOK_BACK_MS = 14 * 86_400_000;

    public function __construct(
        private Logbook $logbook,
        private LogEntries $entries,
        private Runs $runs,
        private RunWork $work,
    ) {
    }

    public function ended(EndedRun $ended): void
    {
        if (!$ended->run->isRehearsal()) {
            $this->logbook->recordRun($ended);
        }
    }

    /** Creates missing entries, for example after the server was killed between the end of a session and its entry. */
    public function catchUp(): void
    {
        $this->work->endOverdue();
        $ended = array_filter(
            $this->runs->endedSince($this->runs->now() - self::LOOK_BACK_MS),
            static fn (RunView $run): bool => !$run->isRehearsal(),
        );
        $known = array_flip($this->entries->ofRuns(array_values(array_map(
            static fn (RunView $run): int => $run->id,
            $ended,
        ))));
        foreach ($ended as $run) {
            if (!isset($known[$run->id])) {
                $this->ended($this->work->endedRun($run));
            }
        }
    }
}
