<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class KickOnLine implements Rule
{
    public function id(): string
    {
        return 'kick-on-line';
    }

    public function title(): string
    {
        return 'Round kick from the line';
    }

    public function reason(): string
    {
        return 'Step off the line with the kick, not straight in, so that a counter down the middle misses. A switch kick changes the feet and a joined kick lands behind the hand, so both are exempt.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 14l');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 step-out 14l');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        foreach ($context->delivered as $at => $item) {
            if (!$item->strike->isRoundKick() || 'switch kick' === $item->strike->family || $item->joined) {
                continue;
            }
            $before = $context->strikeBefore($at);
            if (null === $before || $this->leavesLine($context->movesBetween($before, $at))) {
                continue;
            }
            $matches[] = new RuleMatch($at, \sprintf('The %s goes straight in. Step off the line with it.', $item->strike->name));
        }

        return $matches;
    }

    /** @param list<MoveItem> $moves */
    private function leavesLine(array $moves): bool
    {
        foreach ($moves as $item) {
            if ($item->move->leavesLine()) {
                return true;
            }
        }

        return false;
    }
}
