<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

final readonly class DrillProblem
{
    /** @param bool $stops whether the drill cannot be run so */
    public function __construct(public string $message, public string $field = '', public bool $stops = true)
    {
    }
}
