<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class GoingBack implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'going-back',
            title: t('Power going back'),
            reason: t(
                'A strike that goes with a step back or an exit has no weight behind it and is a jab at best. Other '
                .'schools throw the cross so to stop who follows them; they turn this off.',
            ),
            shows: new RuleExample('1 step-back +2'),
            doesNotShow: new RuleExample('1 2 step-back +1'),
            order: 75,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique, Purpose::Power],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $items = $context->chain()->items;
        foreach ($context->delivered as $index => $item) {
            $move = $context->chain()->goesWithMove($index) ? $items[$index - 1] : null;
            if ($move instanceof MoveItem && $move->move->range > 0 && 'jab' !== $item->strike->id) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} goes with the {move}: the weight leaves as it lands.',
                        strike: $item->strike->name,
                        move: $move->move->words(),
                    ),
                );
            }
        }
    }
}
