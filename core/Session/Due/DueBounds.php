<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Session\Warning\WarningDefinition;

/** The bounds of the schedule, set in the house rules. Common practice, no source. */
final readonly class DueBounds
{
    /** @return array<string, WarningDefinition> by id */
    public static function definitions(): array
    {
        $why = 'What held comes back after twice the time, what fell apart after half of it.';
        $bounds = [
            new WarningDefinition(
                'due-first',
                'Due again: the first time',
                'What was drilled once is brought back before it is forgotten. '.$why,
                'Plan what is due',
                new RuleThreshold(7, 1, 60, 'days', 'after'),
                50,
            ),
            new WarningDefinition(
                'due-least',
                'Due again: at the earliest',
                'What fell apart comes back soon, but not so soon that nothing was thought over. '.$why,
                'Plan what is due',
                new RuleThreshold(3, 1, 60, 'days', 'at least'),
                51,
            ),
            new WarningDefinition(
                'due-most',
                'Due again: at the latest',
                'What holds is still looked at now and then. '.$why,
                'Plan what is due',
                new RuleThreshold(56, 7, 400, 'days', 'at most'),
                52,
            ),
        ];

        return array_column(array_map(static fn (WarningDefinition $one): array => [$one->id, $one], $bounds), 1, 0);
    }
}
