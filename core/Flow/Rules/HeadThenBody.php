<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Technique\Target;

final readonly class HeadThenBody implements Rule
{
    public function id(): string
    {
        return 'head-then-body';
    }

    public function title(): string
    {
        return 'Head, then body';
    }

    public function reason(): string
    {
        return 'A punch to the head lifts the guard and opens the body.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 3b');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 3');
    }

    public function matches(RuleContext $context): array
    {
        return HeightChange::between($context, Target::Head, Target::Body, 'The %s lifts the guard; the %s goes under it.');
    }
}
