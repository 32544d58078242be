<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\Core\Session\Log\Drilled;

/** What a coach entered by hand, counted as in a plan. */
final readonly class WorkByHand
{
    /** @param list<Drilled> $drilled */
    public function __construct(public array $drilled, public int $ms)
    {
    }
}
