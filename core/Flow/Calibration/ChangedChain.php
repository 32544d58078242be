<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Flow\Timing\Verdict;

/** A labelled chain whose verdict changes. */
final readonly class ChangedChain
{
    public function __construct(public string $notation, public Verdict $from, public Verdict $to)
    {
    }
}
