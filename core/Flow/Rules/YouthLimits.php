<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

final readonly class YouthLimits implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'youth-limits',
            title: t('Not for this group'),
            reason: t(
                'Elbows, and knees and kicks to the head, are not for youth or beginners unless the governing body and '
                .'the gym allow it. In the air, where nothing lands, it is a tip.',
            ),
            shows: new RuleExample('1 2 14h', Medium::Pads, group: Group::Youth),
            doesNotShow: new RuleExample('1 2 14l', Medium::Pads, group: Group::Youth),
            order: 180,
            severities: ['boxing' => Severity::Must, 'kickboxing' => Severity::Must, 'all-limbs' => Severity::Must],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $group = $context->options->group;
        if (Group::Open === $group) {
            return;
        }
        foreach (array_keys($context->items) as $index) {
            foreach ($context->chain()->strikesAt($index) as $item) {
                $isElbow = Limb::Elbow === $item->strike->limb;
                if ($item->feint || (!$isElbow && (!$item->isLegStrike() || Target::Head !== $item->target))) {
                    continue;
                }
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike}{target}, from the {side}, is not for {group}, unless the governing body and '
                            .'the gym allow it.',
                        strike: $item->strike->name,
                        target: $item->isLegStrike() ? t(' to the head') : '',
                        side: $context->inStance->stances[$index]->sideOf($item->strike->role)->value,
                        group: $group->value,
                    ),
                    onlyTip: !$context->medium()->contact,
                );
            }
        }
    }
}
