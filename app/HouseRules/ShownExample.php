<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Technique\Medium;

/** A chain that shows a rule or its absence. */
final readonly class ShownExample
{
    public string $chain;
    public Medium $medium;
    public Group $group;
    public float $tempo;

    public function __construct(RuleExample $example)
    {
        $this->chain = $example->chain;
        $this->medium = $example->medium;
        $this->group = $example->group;
        $this->tempo = $example->tempo;
    }
}
