<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Plan\CompletePlan;

/** A planned session with its content. */
final readonly class OpenPlan extends ShownPlan
{
    public CompletePlan $content;

    public function __construct(Plan $plan, \DateTimeZone $zone)
    {
        parent::__construct($plan->row(), $zone);
        $this->content = new CompletePlan($plan->content());
    }
}
