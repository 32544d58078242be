<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warning\WarningDefinition;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

/** Many kicks with the same shin. */
final readonly class ShinLoad implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'shin-load',
            t('Kicks on one shin'),
            t(
                'So many kicks with one shin against a bag or a partner bruise it; long pads are softer. Reduce the '
                    .'number over the week.',
            ),
            t('Move the kicks to long pads'),
            new RuleThreshold(120, 10, 2000, t('kicks with one shin'), 'above'),
            20,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        return $context->above(
            $this->definition(),
            static fn (Load $load): float => max($load->shins),
            static fn (float $count): string => t(
                '{count, plural, one {# kick} other {# kicks}} with one shin',
                count: $count,
            ),
        );
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        return (new OnPads($plan))->where(
            static fn (Medium $medium): bool => $medium->properties()->hitsHard(),
            static fn (Strike $strike): bool => $strike->has(StrikeTrait::LandsWithShin),
        );
    }
}
