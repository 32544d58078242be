<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Logbook\Period;

/** The strikes thrown in a period. */
final readonly class LoadReport
{
    public string $from;
    public string $to;

    /**
     * @param list<LoadWeek> $weeks
     * @param list<StrikeSum> $weapons every strike in the order of the catalogue
     * @param list<string> $findings
     */
    public function __construct(
        Period $period,
        public array $weeks,
        public LoadSum $sum,
        public array $weapons,
        public array $findings,
    ) {
        $this->from = $period->from;
        $this->to = $period->to;
    }
}
