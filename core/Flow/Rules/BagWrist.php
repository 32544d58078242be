<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\StrikeTrait;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

final readonly class BagWrist implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'bag-wrist',
            title: t('Wrist on the bag'),
            reason: t(
                'An uppercut against a face that goes straight down, as on a hanging bag, slides up along it and can '
                .'roll the wrist. Wrap it, throw it short, and ask the coach or a physician when it hurts. To the body '
                .'it is a tip.',
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
        if (!$context->medium()->flat) {
            return;
        }
        foreach ($context->delivered as $index => $item) {
            if ($item->strike->has(StrikeTrait::BendsWrist)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} can roll the {side} wrist on the {medium}: throw it short, wrists wrapped.',
                        strike: $item->strike->name,
                        side: $context->inStance->side($index)->value ?? '',
                        medium: $context->medium()->name,
                    ),
                    onlyTip: Target::Body === $item->target,
                );
            }
        }
    }
}
