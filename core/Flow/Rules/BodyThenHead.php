<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

final readonly class BodyThenHead implements Rule
{
    public function definition(): RuleDefinition
    {
        return new RuleDefinition(
            'body-then-head',
            t('Body, then head'),
            t('Body work drops the guard and opens the head.'),
            new RuleExample('1 3b 2'),
            new RuleExample('1 3b 2b'),
            order: 200,
        );
    }

    public function matches(RuleContext $context): iterable
    {
        return HeightChange::between(
            $context,
            Target::Body,
            Target::Head,
            static fn (string $before, string $after): string => t(
                'The {before} draws the guard down; the {after} goes over it.',
                before: $before,
                after: $after,
            ),
        );
    }
}
