<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Feet;

use function Periplus\Core\Language\t;

final readonly class SquareStance implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'square-stance',
            title: t('Strike from crossed feet'),
            reason: t(
                'Feet side by side or crossed have no base to drive from, and a push from the front topples the '
                    .'athlete.',
            ),
            shows: new RuleExample('1 step-across 2'),
            doesNotShow: new RuleExample('1 step-out 2'),
            order: 30,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach (array_keys($context->strikes) as $index) {
            $before = $context->sinceBeat(
                $index,
                static fn (Item $item): bool => $item instanceof StrikeItem
                    || ($item instanceof MoveItem && Feet::Stay !== $item->move->feet),
            );
            $item = null === $before ? null : $context->items[$before];
            if ($item instanceof MoveItem && Feet::Cross === $item->move->feet) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} is thrown from feet that the {move} left crossed. Close the stance first.',
                        strike: $context->strikes[$index]->strike->name,
                        move: $item->move->words(),
                    ),
                );
            }
        }
    }
}
