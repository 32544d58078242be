<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Warning\WarningDefinition;

use function Periplus\Core\Language\t;

/** The bounds of the schedule, set in the house rules. Common practice, no source. */
final readonly class DueBounds
{
    /** @return array<string, WarningDefinition> by id */
    public static function definitions(): array
    {
        $why = t('What held comes back after twice the time, what fell apart after half of it.');
        $bounds = [
            new WarningDefinition(
                'due-first',
                t('Due again: the first time'),
                t('What was drilled once is brought back before it is forgotten. {why}', why: $why),
                t('Plan what is due'),
                new RuleThreshold(7, 1, 60, t('days'), t('after')),
                50,
            ),
            new WarningDefinition(
                'due-least',
                t('Due again: at the earliest'),
                t('What fell apart comes back soon, but with some time to rest on it. {why}', why: $why),
                t('Plan what is due'),
                new RuleThreshold(3, 1, 60, t('days'), t('at least')),
                51,
            ),
            new WarningDefinition(
                'due-most',
                t('Due again: at the latest'),
                t('What holds is still looked at now and then. {why}', why: $why),
                t('Plan what is due'),
                new RuleThreshold(56, 7, 400, t('days'), t('at most')),
                52,
            ),
        ];

        return array_column(array_map(static fn (WarningDefinition $one): array => [$one->id, $one], $bounds), 1, 0);
    }
}
