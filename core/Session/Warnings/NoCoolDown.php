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

/** No cool-down in a session that is long enough for one. */
final readonly class NoCoolDown implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'no-cool-down',
            t('No cool-down'),
            t('Bringing the pulse and breath down keeps athletes from leaving dizzy and stiff.'),
            t('Put a cool-down after'),
            new RuleThreshold(20, 0, 360, t('minutes of session'), 'from'),
            70,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        $minutes = $context->programme->lengthMs / 60_000;
        $has =
            []
            !== array_filter(
                $context->plan->blocks,
                static fn (Block $block): bool => BlockKind::CoolDown === $block->kind,
            );

        return $has
            || 0.0 === (float) $context->programme->lengthMs
            || $minutes < $context->threshold($this->definition())
            ? []
            : [t('{minutes} minutes end without a cool-down.', minutes: round($minutes))];
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        $part = $plan->advice()->part(BlockKind::CoolDown->value, 240, []);

        return $plan->withBlocks([...$plan->blocks(), $part]);
    }
}
