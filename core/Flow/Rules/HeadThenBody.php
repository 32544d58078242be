<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

final readonly class HeadThenBody implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'head-then-body',
            t('Head, then body'),
            t('A punch to the head lifts the guard and opens the body.'),
            new RuleExample('1 2 3b'),
            new RuleExample('1 2 3'),
            order: 190,
        );
    }

    public function matches(RuleContext $context): iterable
    {
        return HeightChange::between(
            $context,
            Target::Head,
            Target::Body,
            static fn (string $before, string $after): string => t(
                'The {before} lifts the guard; the {after} goes under it.',
                before: $before,
                after: $after,
            ),
        );
    }
}
