<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\Core\Session\Log\Drilled;

/** The work of an entry by hand, counted as in a plan. */
final readonly class WorkByHand
{
    /**
     * @param list<Drilled> $drilled
     * @param int $workMs with several tracks, that of the longest
     * @param int $lengthMs with the rests
     */
    public function __construct(public array $drilled, public int $workMs, public int $lengthMs)
    {
    }
}
