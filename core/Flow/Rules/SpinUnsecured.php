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

use function Periplus\Core\Language\t;

final readonly class SpinUnsecured implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'spin-unsecured',
            title: t('Spin'),
            reason: t(
                'A spinning strike turns the back. A post, a clinch or a push directly before it holds the opponent '
                .'where the strike will land; without it the answer comes from behind. In the air it is a tip. Mind '
                .'the space around the athlete.',
            ),
            shows: new RuleExample('1 2 38', Medium::Partner),
            doesNotShow: new RuleExample('1 2 post 38', Medium::Partner),
            order: 80,
            severities: ['boxing' => Severity::Off, 'kickboxing' => Severity::Should, 'all-limbs' => Severity::Should],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach ($context->delivered as $index => $item) {
            if (
                $item->strike->spins()
                && true !== $context->moveBefore($index)?->move->occupies()
            ) {
                yield new RuleMatch(
                    $index,
                    $context->medium()->contact
                        ? t(
                            'The {strike} turns the back with nothing holding the opponent, who answers it from '
                                .'behind. Post, push or clinch directly before it, and mind the space around.',
                            strike: $item->strike->name,
                        )
                        : t(
                            'The {strike} turns the back. Mind the space around, and with an opponent post, push or '
                                .'clinch directly before it.',
                            strike: $item->strike->name,
                        ),
                    onlyTip: !$context->medium()->contact,
                );
            }
        }
    }
}
