<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

final readonly class KickOnLine implements Rule
{
    private const MOVES_THAT_MAKE_ROOM = ['post', 'push', 'step-back', 'pull'];

    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'kick-on-line',
            title: t('Round kick from the line'),
            reason: t(
                'Step off the line with the kick, not straight in, so that a counter down the middle misses. A switch '
                .'kick changes the feet and a joined kick lands behind the hand, so both are exempt. A post or a '
                .'push holds the counter off, a pull or a step back lets it fall short, and three hands before it '
                .'keep the opponent busy. A step straight in with the kick runs into the cross: a degree worse.',
            ),
            shows: new RuleExample('1 14l'),
            doesNotShow: new RuleExample('1 step-out 14l'),
            order: 50,
            severities: ['boxing' => Severity::Off, 'kickboxing' => Severity::Hint, 'all-limbs' => Severity::Hint],
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach ($context->delivered as $index => $item) {
            if (
                !$item->strike->isRoundKick()
                || $item->strike->has(StrikeTrait::UnderBody)
                || $context->chain()->joinsStrike($index)
            ) {
                continue;
            }
            $before = $context->strikeBefore($index);
            $moves = $context->movesBefore($index);
            if ($this->leavesLine($moves)) {
                continue;
            }
            if ($this->stepsIn($moves)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The step straight in with the {strike} meets the cross. Step out with it instead.',
                        strike: $item->strike->name,
                    ),
                    heavier: true,
                );
            } elseif (null !== $before && !$this->keepsBusy($context, $before)) {
                yield new RuleMatch(
                    $index,
                    t(
                        'The {strike} goes straight in, where a cross meets it. Step off the line with it.',
                        strike: $item->strike->name,
                    ),
                );
            }
        }
    }

    /** @param list<MoveItem> $moves */
    private function stepsIn(array $moves): bool
    {
        foreach ($moves as $item) {
            if (MoveKind::Footwork === $item->move->kind && $item->move->range < 0) {
                return true;
            }
        }

        return false;
    }

    /** @param list<MoveItem> $moves */
    private function leavesLine(array $moves): bool
    {
        foreach ($moves as $item) {
            if ($item->move->leavesLine() || \in_array($item->move->id, self::MOVES_THAT_MAKE_ROOM, true)) {
                return true;
            }
        }

        return false;
    }

    /** Tells whether three punches in a row end at that index. */
    private function keepsBusy(RuleContext $context, int $index): bool
    {
        $isHand = static fn (?StrikeItem $item): bool => null !== $item && Limb::Hand === $item->strike->limb;

        return $isHand($context->strikes[$index] ?? null)
            && $isHand($context->strikes[$index - 1] ?? null)
            && $isHand($context->strikes[$index - 2] ?? null);
    }
}
