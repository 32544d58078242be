<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\Period;

/** The faults that were seen in a period. */
final readonly class FaultReport
{
    public string $from;
    public string $to;
    /** @var list<string> the months of the period in which something was seen, such as 2026-11 */
    public array $months;

    /** @param list<SeenFault> $faults the most frequent first */
    public function __construct(Period $period, public array $faults)
    {
        $this->from = $period->from;
        $this->to = $period->to;
        $months = [];
        foreach ($faults as $fault) {
            $months += (array) $fault->months;
        }
        ksort($months);
        $this->months = array_keys($months);
    }
}
