<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class OneHeight implements Rule
{
    public function id(): string
    {
        return 'one-height';
    }

    public function title(): string
    {
        return 'All at one height';
    }

    public function reason(): string
    {
        return 'Work that stays at one height lets the guard stay there too. Change the level once and the guard opens.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 3 4 3');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 3b 4 3');
    }

    public function matches(RuleContext $context): array
    {
        $heights = array_unique(array_map(static fn (StrikeItem $item): string => $item->target->word(), $context->delivered));
        $count = \count($context->delivered);

        return $count >= $context->circumstances->rules->thresholds->oneHeight && 1 === \count($heights)
            ? [new RuleMatch(null, \sprintf('All %d strikes go to the %s.', $count, implode('', $heights)))]
            : [];
    }
}
