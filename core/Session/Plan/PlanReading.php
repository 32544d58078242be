<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** The result of reading a written plan: everything that makes sense, and every problem. */
final readonly class PlanReading
{
    /** @param list<PlanProblem> $problems in the order of the plan */
    public function __construct(public SessionPlan $plan, public array $problems)
    {
    }
}
