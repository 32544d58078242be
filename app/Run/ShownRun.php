<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Account\Person;
use Periplus\App\Store\Instant;

/** A running or ended session as coaches see it. */
final readonly class ShownRun extends ScreenRun
{
    public ?int $plan;
    public Person $starter;
    public Instant $startedAt;
    public ?Instant $endedAt;
    public bool $isRehearsal;
    public bool $isOver;

    /** @param int $now on the server's clock, in ms */
    public function __construct(RunView $run, int $now)
    {
        parent::__construct($run);
        $moment = static fn (int $ms): Instant => new Instant(new \DateTimeImmutable('@'.intdiv($ms, 1000)));
        $this->plan = $run->plan;
        $this->starter = new Person($run->starter, $run->starterName);
        $this->startedAt = $moment($run->startedMs);
        $this->endedAt = null === $run->endedMs ? null : $moment($run->endedMs);
        $this->isRehearsal = $run->isRehearsal();
        $this->isOver = $run->state->isOver($now, $run->lengthMs);
    }
}
