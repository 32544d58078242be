<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class BagWrist implements Rule
{
    public function id(): string
    {
        return 'bag-wrist';
    }

    public function title(): string
    {
        return 'Wrist on the bag';
    }

    public function reason(): string
    {
        return 'An uppercut on a hanging bag can roll the wrist. Wrap it, throw it short, and ask the coach or a physician when it hurts.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 6', Medium::Bag);
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 6', Medium::Pads);
    }

    public function matches(RuleContext $context): array
    {
        if (Medium::Bag !== $context->circumstances->medium) {
            return [];
        }
        $matches = [];
        foreach ($context->delivered as $at => $item) {
            if ('uppercut' === $item->strike->family) {
                $matches[] = new RuleMatch($at, \sprintf('The %s can roll the %s wrist on a hanging bag: throw it short, wrists wrapped.', $item->strike->name, $context->inStance->side($at)->value ?? ''));
            }
        }

        return $matches;
    }
}
