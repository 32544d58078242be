<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Technique\Feet;

use function Periplus\Core\Language\t;

final readonly class AngleTaken implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'angle-taken',
            t('Takes an angle'),
            t('A step or a pivot off the line before a strike puts it where the opponent does not look.'),
            new RuleExample('1 pivot-out 2'),
            new RuleExample('1 step-in 2'),
            order: 210,
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach ($context->delivered as $index => $item) {
            $move = $context->moveBefore($index)?->move;
            if (null !== $move && $move->takesAngle() && Feet::Cross !== $move->feet) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} comes from the new angle that the {move} takes.',
                        strike: $item->strike->name,
                        move: $move->words(),
                    ),
                );
            }
        }
    }
}
