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

use function Periplus\Core\Language\t;

/** Many strikes to the head of a partner. */
final readonly class PartnerHead implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'partner-head',
            t('Heads in partner drills'),
            t('Head contact adds up over a week. Keep it light and short; the sport body’s rules and the physician '
                .'decide what is allowed.'),
            t('Move these rounds to pads'),
            new RuleThreshold(60, 0, 2000, t('strikes to the head of a partner'), 'above'),
            40,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        return $context->above(
            $this->definition(),
            static fn (Load $load): float => $load->partnerHead,
            static fn (float $count): string => t(
                '{count, plural, one {# strike} other {# strikes}} to the head of a partner',
                count: $count,
            ),
        );
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        return (new OnPads($plan))->where(
            static fn (Medium $medium): bool => Medium::Partner === $medium,
            static fn (Strike $strike): bool => true,
        );
    }
}
