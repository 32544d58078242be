<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\HardStrikes;

final readonly class AllHard implements Rule
{
    public function id(): string
    {
        return 'all-hard';
    }

    public function title(): string
    {
        return 'Nothing accelerates';
    }

    public function reason(): string
    {
        return 'The last strike is the hard one; those before it are quick and keep the opponent busy. If everything is hard, nothing is.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1! 2! 3!');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1~ 2 3!');
    }

    public function matches(RuleContext $context): array
    {
        $efforts = array_values(array_map(static fn (StrikeItem $item): int => $item->effort->rank(), $context->delivered));
        $marked = array_filter($efforts, static fn (int $rank): bool => $rank !== Effort::Plain->rank());
        if (HardStrikes::Every === $context->circumstances->rules->schools->hardStrikes || \count($efforts) < 2 || [] === $marked || Accelerates::holds($efforts)) {
            return [];
        }

        return [new RuleMatch(null, 'Effort is marked, but nothing accelerates towards the end. Make the first ones quick and the last one hard.')];
    }
}
