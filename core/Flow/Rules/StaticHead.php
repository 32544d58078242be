<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class StaticHead implements Rule
{
    public function id(): string
    {
        return 'static-head';
    }

    public function title(): string
    {
        return 'Head never moves';
    }

    public function reason(): string
    {
        return 'A head that stays on its line through a long chain is found by the answer. Slip, roll, pivot or step inside the chain.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 3 4 3 2');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 3 roll-rear 4 3 2');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat || ($item instanceof MoveItem && $item->move->movesHead()),
            static fn (): string => 'strike',
        );
        foreach ($runs as $run) {
            if (\count($run) >= $context->circumstances->rules->thresholds->staticHead) {
                $matches[] = new RuleMatch($run[0], \sprintf('%d strikes in a row and the head never leaves its line.', \count($run)));
            }
        }

        return $matches;
    }
}
