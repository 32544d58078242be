<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Plan\Block;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warning\WarningDefinition;

use function Periplus\Core\Language\t;

/** No warm-up in a session that is long enough for one. */
final readonly class NoWarmUp implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'no-warm-up',
            t('No warm-up'),
            t('Cold muscles and joints are injured more easily, and the first round is wasted on warming up.'),
            t('Put a warm-up before'),
            new RuleThreshold(20, 0, 360, t('minutes of session'), 'from'),
            60,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        $minutes = $context->programme->lengthMs / 60_000;
        $has =
            []
            !== array_filter(
                $context->plan->blocks,
                static fn (Block $block): bool => BlockKind::WarmUp === $block->kind,
            );

        return $has
            || 0.0 === (float) $context->programme->lengthMs
            || $minutes < $context->threshold($this->definition())
            ? []
            : [t('{minutes} minutes begin without a warm-up.', minutes: round($minutes))];
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        $part = $plan->advice()->part(BlockKind::WarmUp->value, 300, []);

        return $plan->withBlocks([$part, ...$plan->blocks()]);
    }
}
