<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** A part of a plan that is impossible, or that a coach would not want. */
final readonly class PlanProblem
{
    /**
     * @param string $place such as blocks[1].rounds[0].sets[2].seconds; empty for the whole plan
     * @param string $where the same in words: "Rounds, round 1, set 3"
     * @param string $message one or two sentences, with what to do
     * @param bool $stops whether that part is left out of the programme
     * @param PlanFix|null $fix one press that mends it
     */
    public function __construct(
        public string $place,
        public string $where,
        public string $message,
        public bool $stops = true,
        public ?PlanFix $fix = null,
    ) {
    }
}
