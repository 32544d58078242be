<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;

/** A stretch of work on one thing. */
final readonly class Set
{
    /**
     * @param string $place such as blocks[1].rounds[0].sets[2]
     * @param string $where the same in words
     * @param int $seconds of work
     * @param list<PlannedCombination> $combinations
     */
    public function __construct(
        public string $place,
        public string $where,
        public Drill $drill,
        public int $seconds,
        public array $combinations,
        public Parameters $parameters,
        public string $note = '',
    ) {
    }
}
