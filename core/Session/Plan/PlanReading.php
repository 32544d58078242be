<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** What was made of a written plan: all of it that makes sense, and every problem. */
final readonly class PlanReading
{
    /** @param list<PlanProblem> $problems in the order of the plan */
    public function __construct(public SessionPlan $plan, public array $problems)
    {
    }
}
