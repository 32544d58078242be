<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class TempoLimit implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'tempo-limit',
            title: t('Faster than the body'),
            reason: t(
                'Calls can come faster than weight and hips come back: those take their own time at any tempo. Slow '
                .'the call or mend the chain.',
            ),
            shows: new RuleExample('1 2 2 2', tempo: 0.8),
            doesNotShow: new RuleExample('1 2 3 2', tempo: 0.8),
            order: 150,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
            threshold: new RuleThreshold(0.15, 0.01, 0.9, t('share of the tempo lost'), 'above'),
            matters: [Purpose::Technique, Purpose::Speed],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $length = $context->timing->length();
        $asked = $length - $context->timing->waiting();
        $strikes = \count($context->delivered);
        if ($context->options->tempo >= 1.0 || $strikes < 3 || $asked <= 0.0) {
            return [];
        }
        $loss = 1.0 - $asked / $length;

        return $loss > $context->threshold($this)
            ? [
                new RuleMatch(
                    null,
                    t(
                        'This tempo asks for {strikes} strikes a second; weight and hips allow {strikes2}.',
                        strikes: \sprintf('%.1f', (1000 * $strikes) / $asked),
                        strikes2: \sprintf('%.1f', (1000 * $strikes) / $length),
                    ),
                ),
            ]
            : [];
    }
}
