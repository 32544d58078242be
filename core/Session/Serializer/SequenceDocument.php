<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** Chains in the order in which they are learned with the least that is new. */
final readonly class SequenceDocument
{
    /**
     * @param list<SequenceProblem> $problems
     * @param list<int> $order places of the chains
     * @param list<float> $steps cost from each to the next
     * @param float $bound below which no order costs
     * @param bool $proven no order costs less
     * @param list<int> $levels in the order of the question
     * @param list<list<int>> $shared places of the items that each shares with the one before
     */
    public function __construct(
        public array $problems,
        public array $order = [],
        public array $steps = [],
        public float $cost = 0.0,
        public float $bound = 0.0,
        public bool $proven = false,
        public array $levels = [],
        public array $shared = [],
    ) {
    }
}
