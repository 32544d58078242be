<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\Period;

/** The links that gave trouble in a period. */
final readonly class LinkReport
{
    public string $from;
    public string $to;

    /** @param list<LinkTrouble> $links contradictions of the check first, then the worst */
    public function __construct(Period $period, public array $links)
    {
        $this->from = $period->from;
        $this->to = $period->to;
    }
}
