<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\HandSide;
use Periplus\Core\HouseRules\Schools;

final readonly class HandBeforeKick implements Rule
{
    public function id(): string
    {
        return 'hand-before-kick';
    }

    public function title(): string
    {
        return 'Hand before a kick';
    }

    public function reason(): string
    {
        return 'One school sends the hand of the same side before the kick, so that the guard looks there; the other sends the hand of the opposite side, whose turn loads the kick. It holds only where the gym has chosen one.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 14', schools: new Schools(handSide: HandSide::Opposite));
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 3 14', schools: new Schools(handSide: HandSide::Opposite));
    }

    public function matches(RuleContext $context): array
    {
        $school = $context->circumstances->rules->schools->handSide;
        $matches = [];
        foreach (HandSide::Any === $school ? [] : $context->handsBeforeKicks() as $at => $hand) {
            $kick = $context->strikes[$at];
            $same = $context->inStance->side($hand) === $context->inStance->side($at);
            if ($same !== (HandSide::Same === $school)) {
                $matches[] = new RuleMatch($at, \sprintf('The %s comes after the %s, a hand of the %s side; this gym sends the hand of the %s side first.', $kick->strike->name, $context->strikes[$hand]->strike->name, $same ? 'same' : 'opposite', $same ? 'opposite' : 'same'));
            }
        }

        return $matches;
    }
}
