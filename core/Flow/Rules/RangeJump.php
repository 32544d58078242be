<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\MoveKind;

use function Periplus\Core\Language\t;

final readonly class RangeJump implements Rule
{
    /** Number of range bands that no single step covers. */
    private const BANDS_TOO_FAR = 3;

    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'range-jump',
            title: t('Out of reach'),
            reason: t(
                'Athletes drift one range by themselves. Two ranges cost a step, a push or a post, or the strike lands '
                .'on air; three are a degree worse, unless a push opened them. A hanging bag swings back after a push.',
            ),
            shows: new RuleExample('1 31'),
            doesNotShow: new RuleExample('1 step-in 31'),
            order: 10,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
            threshold: new RuleThreshold(2, 1, 4, t('range steps')),
        );
    }

    public function matches(RuleContext $context): iterable
    {
        foreach ($context->timing->links as $link) {
            $item = $context->items[$link->to];
            if ($item instanceof StrikeItem && $link->bands >= $context->threshold($this)) {
                $nearer = $item->strike->ranges($item->target)[0] < $context->timing->moments[$link->from()]->range;
                yield new RuleMatch(
                    $link->to,
                    t(
                        'The {strike} works {bands} ranges {direction} and {fails}. Put {fix} before it.',
                        strike: $item->strike->name,
                        bands: $link->bands,
                        direction: $nearer ? 'nearer' : t('further out'),
                        fails: $nearer ? t('falls short') : t('has no room'),
                        fix: $nearer
                            ? ($link->bands < self::BANDS_TOO_FAR
                                ? t('a step in')
                                : t('steps in'))
                            : t('a step back or a push')),
                    $link->bands >= self::BANDS_TOO_FAR && !$this->isPushed($context, $link->to),
                );
            }
        }
    }

    /** Tells whether the opponent was pushed there, and can be followed. */
    private function isPushed(RuleContext $context, int $index): bool
    {
        return [] !== array_filter(
            $context->movesBefore($index),
            static fn (MoveItem $item): bool => MoveKind::Contact === $item->move->kind && $item->move->range > 0,
        );
    }
}
