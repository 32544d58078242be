<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Technique\Instances;

/** All rules of this folder, in the order in which a coach would mention them. */
final readonly class RuleRegistry
{
    /** @return list<Rule> */
    public static function all(): array
    {
        /** @var list<Rule>|null $rules */
        static $rules = null;
        if (null === $rules) {
            $found = Instances::inFolder(__DIR__, __NAMESPACE__, Rule::class);
            $orders = array_map(static fn (Rule $rule): int => $rule->definition()->order, $found);
            asort($orders);
            $rules = array_map(static fn (int $at): Rule => $found[$at], array_keys($orders));
        }

        return $rules;
    }

    /** @return list<RuleDefinition> of those that house rules can weigh */
    public static function weighed(): array
    {
        return array_values(array_filter(
            array_map(static fn (Rule $rule): RuleDefinition => $rule->definition(), self::all()),
            static fn (RuleDefinition $definition): bool => !$definition->isCredit(),
        ));
    }
}
