<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

/**
 * A tree over all combinations.
 *
 * @internal to {@see LowerBound}
 */
final readonly class SpanningTree
{
    /**
     * @param float $cost with the weights
     * @param list<int> $degrees how many links each place has
     */
    public function __construct(public float $cost, public array $degrees)
    {
    }
}
