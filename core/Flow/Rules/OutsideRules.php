<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class OutsideRules implements Rule
{
    public function id(): string
    {
        return 'outside-rules';
    }

    public function title(): string
    {
        return 'Outside the rules';
    }

    public function reason(): string
    {
        return 'The sport that these house rules are for does not let that limb land. Check the rulebook of the governing body.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 31');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 14');
    }

    public function matches(RuleContext $context): array
    {
        $rules = $context->circumstances->rules;
        $matches = [];
        foreach ($context->strikes as $at => $item) {
            if (!\in_array($item->strike->limb, $rules->allows, true)) {
                $matches[] = new RuleMatch($at, \sprintf('The %s is not allowed under %s rules.', $item->strike->name, mb_strtolower($rules->name)));
            }
        }

        return $matches;
    }
}
