<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** The drill of a round, and why. */
final readonly class DrillChoice
{
    public function __construct(public string $drill, public string $why)
    {
    }
}
