<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** What cannot be done as planned, or would leave something out. */
final readonly class DrillProblem
{
    /**
     * @param bool $stops whether the drill cannot be run so
     * @param DrillFix|null $fix one press that mends it
     */
    public function __construct(
        public string $message,
        public string $field = '',
        public bool $stops = true,
        public ?DrillFix $fix = null,
    ) {
    }
}
