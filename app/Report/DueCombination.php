<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Session\Due\Due;

/** When a combination is due in a course. */
final readonly class DueCombination
{
    /** Day on which it was drilled last. */
    public string $last;
    public int $times;
    /** Days. */
    public int $interval;
    public string $day;
    /** Days; negative before it is due. */
    public int $overdue;
    public bool $held;

    /** @param list<string> $faults that were seen the last time */
    public function __construct(
        public CombinationBrief $combination,
        Due $due,
        string $today,
        public array $faults,
    ) {
        $this->last = $due->last;
        $this->times = $due->times;
        $this->interval = $due->interval;
        $this->day = $due->day;
        $this->overdue = $due->overdue($today);
        $this->held = $due->held;
    }
}
