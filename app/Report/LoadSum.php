<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\SessionSum;

/** The load of a period. */
readonly class LoadSum extends FiguresDocument
{
    public int $sessions;
    public int $workMs;

    public function __construct(SessionSum $sum)
    {
        parent::__construct($sum->figures());
        $this->sessions = $sum->sessions;
        $this->workMs = $sum->workMs;
    }
}
