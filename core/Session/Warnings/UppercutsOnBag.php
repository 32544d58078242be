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

/** Many uppercuts on a hanging bag. */
final readonly class UppercutsOnBag implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'uppercuts-on-bag',
            t('Uppercuts on the bag'),
            t(
                'An uppercut against a flat face, as on a hanging bag, can roll the wrist. Wrap the hands, throw it '
                    .'short, and not too often; ask a physician if it hurts.',
            ),
            t('Halve them: do every second round with uppercuts on pads'),
            new RuleThreshold(40, 0, 1000, t('uppercuts on a bag'), t('above')),
            30,
        );
    }

    public function matches(WarningContext $context): iterable
    {
        return $context->above(
            $this->definition(),
            static fn (Load $load): float => $load->uppercutsOnBag,
            static fn (float $count): string => t(
                '{count, plural, one {# uppercut} other {# uppercuts}} on the bag',
                count: $count,
            ),
        );
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        return (new OnPads($plan))->everySecond(
            static fn (Medium $medium): bool => $medium->properties()->flat,
            static fn (Strike $strike): bool => $strike->has(StrikeTrait::BendsWrist),
        );
    }
}
