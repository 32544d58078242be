<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

use Periplus\Core\Session\Warning\WarningDefinition;
use Periplus\Core\Session\Warnings\WarningRegistry;

/** The numbers that house rules set for sessions: warnings, and when a combination is due. */
final readonly class SessionThresholds
{
    /** @return list<WarningDefinition> */
    public static function definitions(): array
    {
        return [...WarningRegistry::definitions(), ...array_values(DueBounds::definitions())];
    }
}
