<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

use function Periplus\Core\Language\t;

final readonly class Accelerates implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'accelerates',
            t('Accelerates'),
            t('The last strike is the hard one and the first ones are quick.'),
            new RuleExample('1~ 2 3!'),
            new RuleExample('1! 2 3'),
            order: 220,
        );
    }

    public function matches(RuleContext $context): iterable
    {
        $efforts = array_values(
            array_map(static fn (StrikeItem $item): int => $item->effort->rank(), $context->delivered),
        );

        return self::holds($efforts)
            ? [new RuleMatch(array_key_last($context->delivered), t('The effort rises to the last strike.'))]
            : [];
    }

    /**
     * @param list<int> $efforts ranks in the order of the chain
     */
    public static function holds(array $efforts): bool
    {
        $last = end($efforts);

        return \count($efforts) > 1 && $last > $efforts[0] && max($efforts) === $last;
    }
}
