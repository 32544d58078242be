<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class AngleTaken implements Rule
{
    public function id(): string
    {
        return 'angle-taken';
    }

    public function title(): string
    {
        return 'Takes an angle';
    }

    public function reason(): string
    {
        return 'A step or a pivot off the line before a strike puts it where the opponent does not look.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 pivot-out 2');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 step-in 2');
    }

    public function matches(RuleContext $context): array
    {
        $matches = [];
        foreach ($context->delivered as $at => $item) {
            $move = $context->moveBefore($at)?->move;
            if (null !== $move && $move->takesAngle()) {
                $matches[] = new RuleMatch($at, \sprintf('The %s comes from the new angle that the %s takes.', $item->strike->name, $move->words()));
            }
        }

        return $matches;
    }
}
