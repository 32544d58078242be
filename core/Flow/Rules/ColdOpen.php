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
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;

use function Periplus\Core\Language\t;

final readonly class ColdOpen implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'cold-open',
            title: t('Opens with power'),
            reason: t(
                'A chain that opens with a power punch shows it from outside. A jab, a feint, a push kick or a move '
                .'finds the range first.',
            ),
            shows: new RuleExample('3 2'),
            doesNotShow: new RuleExample('1 3 2'),
            order: 120,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $first = $context->items[0] ?? null;
        // An opening kick has a rule of its own, and elbows and knees start where both are already inside.
        if (
            !($first instanceof StrikeItem)
            || $first->feint
            || 'jab' === $first->strike->id
            || Limb::Hand !== $first->strike->limb
        ) {
            return [];
        }

        return [
            new RuleMatch(
                0,
                t(
                    'The chain opens with the {strike}, which is seen from outside and meets a straight counter. Find '
                        .'the range first: a jab, a feint, a push kick or a move.',
                    strike: $first->strike->name,
                ),
            ),
        ];
    }
}
