<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

final readonly class BagWrist implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'bag-wrist',
            title: t('Wrist on the bag'),
            reason: t(
                'An uppercut on a hanging bag can roll the wrist. Wrap it, throw it short, and ask the coach or a '
                .'physician when it hurts.',
            ),
            shows: new RuleExample('1 6', Medium::Bag),
            doesNotShow: new RuleExample('1 6', Medium::Pads),
            order: 170,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        if (Medium::Bag !== $context->options->medium) {
            return;
        }
        foreach ($context->delivered as $index => $item) {
            if ($item->strike->has(StrikeTrait::BendsWrist)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} can roll the {side} wrist on a hanging bag: throw it short, wrists wrapped.',
                        strike: $item->strike->name,
                        side: $context->inStance->side($index)->value ?? '',
                    ),
                );
            }
        }
    }
}
