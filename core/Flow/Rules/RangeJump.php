<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class RangeJump implements Rule
{
    public function id(): string
    {
        return 'range-jump';
    }

    public function title(): string
    {
        return 'Out of reach';
    }

    public function reason(): string
    {
        return 'Athletes drift one range by themselves. Two ranges or more need a step, a push or a post, or the strike lands on air.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 31');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 step-in 31');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        foreach ($context->timing->links as $link) {
            $item = $context->items[$link->to];
            if ($item instanceof StrikeItem && $link->bands >= $context->circumstances->rules->thresholds->rangeJump) {
                $nearer = $item->strike->ranges($item->target)[0] < $context->timing->moments[$link->from()]->range;
                $matches[] = new RuleMatch($link->to, \sprintf('The %s is %d ranges %s. Put %s before it.', $item->strike->name, $link->bands, $nearer ? 'nearer' : 'further out', $nearer ? 'a step in' : 'a step back or a push'));
            }
        }

        return $matches;
    }
}
