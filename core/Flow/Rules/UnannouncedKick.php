<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;

use function Periplus\Core\Language\t;

final readonly class UnannouncedKick implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'unannounced-kick',
            t('Kick with nothing before it'),
            t('A kick, a knee or a spinning kick thrown cold meets the rear straight. A punch, a feint, a push or a '
                .'post occupies the opponent first.'),
            new RuleExample('14l'),
            new RuleExample('1 14l'),
            order: 40,
            severities: ['boxing' => Severity::Off, 'kickboxing' => Severity::Should, 'all-limbs' => Severity::Should],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach ($context->delivered as $index => $item) {
            if (
                !$item->isLegStrike()
                || 'push kick' === $item->strike->family
                || null !== $context->sinceBeat($index, self::announces(...))
            ) {
                continue;
            }
            yield new RuleMatch(
                $index,
                t(
                    'The {strike} comes with nothing before it. Show a hand, a push or a post first.',
                    strike: $item->strike->name,
                ),
            );
        }
    }

    private static function announces(Item $item): bool
    {
        return match (true) {
            $item instanceof StrikeItem => $item->strike->limb->isArm() || 'push kick' === $item->strike->family,
            $item instanceof MoveItem => \in_array($item->move->id, ['push', 'post', 'clinch'], true),
            default => $item instanceof FreeStrikes,
        };
    }
}
