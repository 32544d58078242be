<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Account\Person;
use Periplus\App\Store\Instant;

/** A version of a plan in its history. */
final readonly class ShownPlanVersion
{
    public function __construct(
        public int $version,
        public PlanChange $change,
        public string $name,
        public int $lengthMs,
        public int $problems,
        public Person $editor,
        public Instant $createdAt,
    ) {
    }
}
