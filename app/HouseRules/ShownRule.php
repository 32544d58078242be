<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rule\RuleDefinition;

/** A rule with its reason and examples. */
final readonly class ShownRule
{
    public string $id;
    public string $title;
    public string $reason;
    public ShownExample $shows;
    public ShownExample $doesNotShow;
    public ?ShownThreshold $threshold;

    public function __construct(RuleDefinition $rule)
    {
        $this->id = $rule->id;
        $this->title = $rule->title;
        $this->reason = $rule->reason;
        $this->shows = new ShownExample($rule->shows);
        $this->doesNotShow = new ShownExample($rule->doesNotShow);
        $this->threshold = null === $rule->threshold ? null : new ShownThreshold($rule->threshold);
    }
}
