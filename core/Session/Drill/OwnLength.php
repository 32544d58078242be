<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** A drill that is counted, so that it lasts as long as its repetitions unless the set says otherwise. */
interface OwnLength
{
    /** @return int how long its repetitions take, in s */
    public function seconds(DrillRun $run): int;
}
