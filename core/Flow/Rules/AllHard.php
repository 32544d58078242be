<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\HardStrikes;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class AllHard implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'all-hard',
            title: t('Nothing accelerates'),
            reason: t(
                'The last strike is the hard one; those before it are quick and keep the opponent busy. If everything '
                .'is hard, nothing is. Chains without a hard strike, and one technique by itself, are left alone.',
            ),
            shows: new RuleExample('1! 2! 3!'),
            doesNotShow: new RuleExample('1~ 2 3!'),
            order: 140,
            severities: ['boxing' => Severity::Hint, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $efforts = array_values(
            array_map(static fn (StrikeItem $item): int => $item->effort->rank(), $context->delivered),
        );
        // A light run has nothing that could come too early.
        $hard = array_filter($efforts, static fn (int $rank): bool => $rank > Effort::Plain->rank());
        if (
            HardStrikes::Every === $context->options->rules->schools->hardStrikes
            || \count($efforts) < 2
            || [] === $hard
            || $this->isOneTechnique($context)
            || Accelerates::holds($efforts)
        ) {
            return [];
        }

        return [
            new RuleMatch(
                null,
                t(
                    'Effort is marked, but nothing accelerates towards the end. Make the first strikes quick and the '
                        .'last one hard.',
                ),
            ),
        ];
    }

    /** Tells whether one technique is practised. */
    private function isOneTechnique(RuleContext $context): bool
    {
        return 1
            === \count(
                array_unique(array_map(static fn (StrikeItem $item): string => $item->strike->id, $context->delivered)),
            );
    }
}
