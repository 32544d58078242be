<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
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
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

final readonly class StaticHead implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            id: 'static-head',
            title: t('Head never moves'),
            reason: t(
                'A head that stays on its line through a long chain gets hit by the answer. Slip, roll, pivot or step '
                .'inside the chain; kicks, overhands and punches to the body move it as well. Jabs do not count. A '
                .'change of stance or a step out of range starts the count again. On a bag, where nobody answers, '
                .'and in a chain of straights alone it is only a tip.',
            ),
            shows: new RuleExample('1 2 3 4 3 2'),
            doesNotShow: new RuleExample('1 2 3 roll-rear 4 3 2'),
            order: 90,
            severities: [
                'boxing' => Severity::Should,
                'kickboxing' => Severity::Should,
                'all-limbs' => Severity::Should,
            ],
            threshold: new RuleThreshold(5, 2, 20, t('strikes in a row')),
            matters: [Purpose::Technique],
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat
                || ($item instanceof MoveItem
                    && ($item->move->movesHead() || $item->move->changesStance() || $item->move->range > 0)),
            fn (int $index, StrikeItem $item): ?string => match (true) {
                'jab' === $item->strike->id => null,
                $this->movesHead($item) => 'moved '.$index,
                default => 'strike',
            },
        );
        foreach ($runs as $run) {
            if (\count($run) >= $context->threshold($this)) {
                yield new RuleMatch(
                    $run[0],
                    t(
                        '{count} strikes in a row, jabs not counted, and the head never leaves its line: a counter '
                            .'hook finds it. Slip, roll or step in between.',
                        count: \count($run),
                    ),
                    onlyTip: !$context->medium()->opponent || $this->isVolume($context, $run),
                );
            }
        }
    }

    /**
     * Tells whether the strikes are straights alone, thrown for volume from outside.
     *
     * @param list<int> $run places
     */
    private function isVolume(RuleContext $context, array $run): bool
    {
        return [] === array_filter(
            $run,
            static fn (int $place): bool => 'straight' !== $context->strikes[$place]->strike->family,
        );
    }

    /** Tells whether the strike moves the head: a kick leans away, an overhand dips and a body punch goes down. */
    private function movesHead(StrikeItem $item): bool
    {
        return $item->isLegStrike() || $item->strike->has(StrikeTrait::MovesHead) || Target::Body === $item->target;
    }
}
