<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Drill\PlannedCombination;

/**
 * A combination in what a drill throws.
 *
 * @internal to {@see DrilledCounter}
 */
final readonly class DrilledPart
{
    /**
     * @param Chain|null $chain what counts as thrown; null for free strikes, and where it counts for another one
     * @param PlannedCombination|null $of null for what belongs to none
     * @param float $share of the time, 0 to 1
     */
    public function __construct(public ?Chain $chain, public ?PlannedCombination $of, public float $share)
    {
    }
}
