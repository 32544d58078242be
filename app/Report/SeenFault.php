<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A fault that was seen in class. */
final readonly class SeenFault
{
    /** @var \ArrayObject<string, int> in how many sessions, by month */
    public \ArrayObject $months;

    /**
     * @param string|null $mend the reminder that mends it; null for one that is no longer in the gym's list
     * @param int $times in how many sessions
     * @param string $last day on which it was seen last
     * @param array<string, int> $months
     * @param list<CombinationBrief> $combinations in which it was seen most often
     */
    public function __construct(
        public string $fault,
        public ?string $mend,
        public int $times,
        public string $last,
        array $months,
        public array $combinations,
    ) {
        $this->months = new \ArrayObject($months);
    }
}
