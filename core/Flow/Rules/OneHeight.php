<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class OneHeight implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'one-height',
            title: t('All at one height'),
            reason: t(
                'Work that stays at one height lets the guard stay there too. Change the level once and the guard '
                    .'opens.',
            ),
            shows: new RuleExample('1 2 3 4 3'),
            doesNotShow: new RuleExample('1 2 3b 4 3'),
            order: 110,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            threshold: new RuleThreshold(5, 2, 20, t('delivered strikes')),
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $heights = array_unique(
            array_map(static fn (StrikeItem $item): string => $item->target->word(), $context->delivered),
        );
        $count = \count($context->delivered);

        return $count >= $context->threshold($this) && 1 === \count($heights)
            ? [
                new RuleMatch(
                    null,
                    t(
                        'All {count} strikes go to the {height}, and the guard can stay there. Change the level once.',
                        count: $count,
                        height: implode('', $heights),
                    ),
                ),
            ]
            : [];
    }
}
