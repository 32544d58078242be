<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

use Periplus\Core\Session\Warning\WarningDefinition;
use Periplus\Core\Session\Warnings\WarningRegistry;

/**
 * Everything about sessions that house rules set a number for: when something is warned of, and when something comes
 * due.
 */
final readonly class SessionThresholds
{
    /** @return list<WarningDefinition> */
    public static function definitions(): array
    {
        return [...WarningRegistry::definitions(), ...array_values(DueBounds::definitions())];
    }
}
