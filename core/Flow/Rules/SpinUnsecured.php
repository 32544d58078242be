<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class SpinUnsecured implements Rule
{
    public function id(): string
    {
        return 'spin-unsecured';
    }

    public function title(): string
    {
        return 'Spin with nothing held';
    }

    public function reason(): string
    {
        return 'A spinning strike turns the back. A post, a clinch or a push directly before it holds the opponent where the strike will land. Mind the space around the athlete.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 38');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 post 38');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        foreach ($context->delivered as $at => $item) {
            if ($item->strike->spins() && !\in_array($context->moveBefore($at)?->move->id, ['post', 'clinch', 'push'], true)) {
                $matches[] = new RuleMatch($at, \sprintf('The %s turns the back with nothing holding the opponent. Post, push or clinch directly before it, and mind the space around.', $item->strike->name));
            }
        }

        return $matches;
    }
}
