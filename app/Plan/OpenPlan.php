<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A planned session with its content. */
final readonly class OpenPlan extends ShownPlan
{
    /** The content as it was written. */
    public object $content;

    public function __construct(Plan $plan, \DateTimeZone $zone)
    {
        parent::__construct($plan->row(), $zone);
        $this->content = (object) $plan->content();
    }
}
