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

final readonly class PastTheFeet implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'past-the-feet',
            title: t('Over the feet'),
            reason: t(
                'The weight has to stay over the feet that are down; past their edge the athlete falls and can '
                    .'neither strike nor exit. It is reported where a link waits as well: the tempo, or the chain, '
                    .'gives the weight no time.',
            ),
            shows: new RuleExample('13 shift 14', tempo: 0.8),
            doesNotShow: new RuleExample('13 shift 14'),
            order: 20,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $sway = $context->sway();
        if (null === $sway->leastAt || !$context->timing->runsPastTheFeet($sway)) {
            return [];
        }
        $item = $context->items[$sway->leastAt];

        return [
            new RuleMatch(
                $sway->leastAt,
                t(
                    'In the {item} the hips run {least} cm past the feet that are down. Give the weight more time to '
                        .'get there, or put a step before it.',
                    item: $item->name(),
                    least: max(1, (int) round(-100 * $sway->least)),
                ),
            ),
        ];
    }
}
