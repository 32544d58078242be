<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class SameSideRun implements Rule
{
    public function id(): string
    {
        return 'same-side-run';
    }

    public function title(): string
    {
        return 'Same side three times';
    }

    public function reason(): string
    {
        return 'Three strikes in a row from one side leave the hips nowhere to come from, and the guard on that side gone. Jabs do not count.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('3b 3 5');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('3b 2 5');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat || ($item instanceof MoveItem && null !== $item->move->load),
            static fn (int $at, StrikeItem $item): ?string => 'jab' === $item->strike->id ? null : $context->inStance->side($at)?->value,
        );
        foreach ($runs as $run) {
            if (\count($run) >= $context->circumstances->rules->thresholds->sameSide) {
                $role = $context->strikes[$run[0]]->strike->role->value;
                $matches[] = new RuleMatch($run[0], \sprintf('%d strikes in a row come from the %s side.', \count($run), $role));
            }
        }

        return $matches;
    }
}
