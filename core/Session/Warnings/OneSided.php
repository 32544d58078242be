<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warning\WarningDefinition;

use function Periplus\Core\Language\t;

/** One side of the body carries most of the strikes. */
final readonly class OneSided implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'one-sided-session',
            t('One side does the work'),
            t('Shoulders, hips and shins of one side do most of the work; over weeks that is where it begins to hurt, '
                .'and the other side stays behind.'),
            t('Add a round in the other stance'),
            new RuleThreshold(65, 50, 100, t('% of the strikes on one side'), 'above'),
            10,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        foreach ($context->loads as $of) {
            $load = $of->load;
            $share = 100 * $load->heavierShare();
            if ($share > $context->threshold($this->definition())) {
                $side = $load->bySide['left'] > $load->bySide['right'] ? 'left' : 'right';
                yield t(
                    'The {side} side of {who} throws {share} % of the strikes ({left} left, {right} right).',
                    side: $side,
                    who: $context->who($of->track, $of->stance),
                    share: round($share),
                    left: round($load->bySide['left']),
                    right: round($load->bySide['right']),
                );
            }
        }
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        $rounds = $plan->rounds(BlockKind::Rounds);
        // A repeated round is split; otherwise the last one is repeated in the other stance.
        foreach ($rounds as [$block, $round, $written]) {
            $times = $written['times'] ?? 1;
            if (\is_int($times) && $times > 1 && RoundStance::Other->value !== ($written['stance'] ?? '')) {
                return $plan->withRounds($block, $round, [
                    [...$written, 'times' => $times],
                    [...$written, 'times' => 1, 'stance' => RoundStance::Other->value],
                ]);
            }
        }
        foreach (array_reverse($rounds) as [$block, $round, $written]) {
            if (RoundStance::Other->value !== ($written['stance'] ?? '')) {
                return $plan->withRounds($block, $round, [
                    $written,
                    [...$written, 'stance' => RoundStance::Other->value],
                ]);
            }
        }

        return $plan;
    }
}
