<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Plan\PlanRow;

/** A session of today as an idle wall lists it. */
final readonly class IdleSession
{
    public string $name;
    public ?string $course;
    public int $startsMs;
    public int $endsMs;

    /** @param bool $hasBegun whether it was started today */
    public function __construct(PlanRow $plan, public bool $hasBegun)
    {
        $this->name = $plan->name;
        $this->course = $plan->courseName;
        $this->startsMs = 1000 * ($plan->startsAt?->getTimestamp() ?? 0);
        $this->endsMs = $this->startsMs + $plan->lengthMs;
    }
}
