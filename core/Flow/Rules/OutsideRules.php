<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class OutsideRules implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'outside-rules',
            title: t('Outside the rules'),
            reason: t('The sport that these house rules are for does not let that limb land. Check the rulebook of the '
                .'governing body.'),
            shows: new RuleExample('1 2 31'),
            doesNotShow: new RuleExample('1 2 14'),
            order: 160,
            severities: ['boxing' => Severity::Must, 'kickboxing' => Severity::Must, 'all-limbs' => Severity::Off],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $rules = $context->options->rules;
        foreach (array_keys($context->items) as $index) {
            foreach ($context->chain()->strikesAt($index) as $item) {
                if (\in_array($item->strike->limb, $rules->allows, true)) {
                    continue;
                }
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} is not allowed under {rules} rules.',
                        strike: $item->strike->name,
                        rules: mb_strtolower($rules->name),
                    ),
                );
            }
        }
    }
}
