<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Technique\Target;

final readonly class BodyThenHead implements Rule
{
    public function id(): string
    {
        return 'body-then-head';
    }

    public function title(): string
    {
        return 'Body, then head';
    }

    public function reason(): string
    {
        return 'Body work drops the guard and opens the head.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 3b 2');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 3b 2b');
    }

    public function matches(RuleContext $context): array
    {
        return HeightChange::between($context, Target::Body, Target::Head, 'The %s draws the guard down; the %s goes over it.');
    }
}
