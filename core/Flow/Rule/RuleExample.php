<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Technique\Medium;

/**
 * A chain in parity numbering that shows a rule or its absence, with the schools of the house rules unless it names its
 * own. The tests run it.
 */
final readonly class RuleExample
{
    public function __construct(
        public string $chain,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
        public float $tempo = 1.0,
        public ?Schools $schools = null,
    ) {
    }
}
