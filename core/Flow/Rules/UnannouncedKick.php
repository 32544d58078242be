<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

final readonly class UnannouncedKick implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'unannounced-kick',
            title: t('Kick with nothing before it'),
            reason: t(
                'A kick, a knee or a spinning kick thrown cold meets the rear straight. A punch, a feint, a push or a '
                .'post occupies the opponent first. A short chain, or one technique by itself, is practice; the rule '
                .'looks at longer chains.',
            ),
            shows: new RuleExample('14l 2 3b 2'),
            doesNotShow: new RuleExample('14l 2 3b'),
            order: 40,
            severities: ['boxing' => Severity::Off, 'kickboxing' => Severity::Should, 'all-limbs' => Severity::Should],
            threshold: new RuleThreshold(4, 1, 20, t('strikes in the chain')),
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        if (\count($context->delivered) < $context->threshold($this)) {
            return;
        }
        foreach ($context->delivered as $index => $item) {
            if (
                !$item->isLegStrike()
                || $item->strike->has(StrikeTrait::SetsUp)
                || null !== $context->sinceBeat($index, $this->announces(...))
            ) {
                continue;
            }
            yield new RuleMatch(
                $index,
                t(
                    'The {strike} comes with nothing before it and meets the cross. Show a hand, a push or a post '
                        .'first.',
                    strike: $item->strike->name,
                ),
            );
        }
    }

    private function announces(Item $item): bool
    {
        return match (true) {
            $item instanceof StrikeItem => $item->strike->limb->isArm() || $item->strike->has(StrikeTrait::SetsUp),
            $item instanceof MoveItem => $item->move->occupies(),
            default => $item instanceof FreeStrikes,
        };
    }
}
