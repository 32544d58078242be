<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Warning\Warning;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warning\WarningDefinition;

/** Many uppercuts on a hanging bag. */
final readonly class UppercutsOnBag implements Warning
{
    public function definition(): WarningDefinition
    {
        return new WarningDefinition(
            'uppercuts-on-bag',
            'Uppercuts on the bag',
            'An uppercut on a hanging bag can roll the wrist. Wrapped, short, and not too many; who feels it asks a '
                .'physician.',
            'Halve them: do every second round with uppercuts on pads',
            new RuleThreshold(40, 0, 1000, 'uppercuts on a bag', 'above'),
            30,
        );
    }

    public function matches(WarningContext $context): array
    {
        return $context->above(
            $this->definition(),
            static fn (Load $load): float => $load->uppercutsOnBag,
            '%s uppercuts on the bag',
        );
    }

    public function fix(WrittenPlan $plan): WrittenPlan
    {
        return OnPads::everySecond($plan, Medium::Bag, static fn (string $family): bool => 'uppercut' === $family);
    }
}
