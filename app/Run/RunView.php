<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Session\Run\RunState;

/** A running or ended session as screens and lists read it. */
final readonly class RunView
{
    /**
     * @param int $revision counted up by every command
     * @param int $programme version of its programme, counted up by every change of it
     * @param string $followKey in the address under which athletes follow it
     * @param int $startedMs on the server's clock
     */
    public function __construct(
        public int $id,
        public ?int $plan,
        public string $name,
        public RunState $state,
        public int $revision,
        public int $programme,
        public int $lengthMs,
        public string $followKey,
        public int $starter,
        public string $starterName,
        public int $startedMs,
        public ?int $endedMs,
    ) {
    }

    /** Tells whether it runs faster than real time, so that it does not count as drilled. */
    public function isRehearsal(): bool
    {
        return $this->state->speed > 1;
    }

    /** Tells whether it was over so long ago that it counts as ended without a command. */
    public function isOverdue(int $now, int $grace): bool
    {
        return null === $this->endedMs
            && null === $this->state->pausedMs
            && null === $this->state->holdMs
            && $now > $this->state->timeOf($this->lengthMs) + $grace;
    }
}
