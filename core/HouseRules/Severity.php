<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** How serious a finding is under the house rules. A credit is praise. */
enum Severity: string
{
    case Off = 'off';
    case Hint = 'hint';
    case Should = 'should';
    case Must = 'must';
    case Credit = 'credit';

    /** Returns a rank that sorts what breaks a chain first and credits last. */
    public function rank(): int
    {
        return match ($this) {
            self::Must => 4,
            self::Should => 3,
            self::Hint => 2,
            self::Credit => 1,
            self::Off => 0,
        };
    }

    /** Returns the next higher severity, or the same when there is none. */
    public function heavier(): self
    {
        return match ($this) {
            self::Hint => self::Should,
            self::Should => self::Must,
            default => $this,
        };
    }

    /** Tells whether it is a fault of at least that severity. */
    public function isAtLeast(self $other): bool
    {
        return self::Credit !== $this && $this->rank() >= $other->rank();
    }
}
