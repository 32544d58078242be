<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** What was really shown and done in a session, in order. */
final readonly class RunReport
{
    /**
     * @param list<ReportedCommand> $commands
     * @param list<ReportedCue> $shown
     */
    public function __construct(public ShownRun $run, public array $commands, public array $shown)
    {
    }
}
