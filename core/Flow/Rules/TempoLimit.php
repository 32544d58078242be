<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class TempoLimit implements Rule
{
    public function id(): string
    {
        return 'tempo-limit';
    }

    public function title(): string
    {
        return 'Faster than the body';
    }

    public function reason(): string
    {
        return 'Calls can come faster than weight and hips come back: those take their own time at any tempo. Slow the call or mend the chain.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('1 2 2 2', tempo: 0.8);
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('1 2 3 2', tempo: 0.8);
    }

    public function matches(RuleContext $context): array
    {
        $length = $context->timing->length();
        $asked = $length - $context->timing->waiting();
        $strikes = \count($context->delivered);
        if ($context->circumstances->tempo >= 1.0 || $strikes < 3 || $asked <= 0.0) {
            return [];
        }
        $loss = 1.0 - $asked / $length;

        return $loss > $context->circumstances->rules->thresholds->tempoLoss
            ? [new RuleMatch(null, \sprintf('This tempo asks for %.1f strikes a second; weight and hips allow %.1f.', 1000 * $strikes / $asked, 1000 * $strikes / $length))]
            : [];
    }
}
