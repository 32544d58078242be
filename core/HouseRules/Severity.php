<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** How severe a finding is under the house rules. A credit is why a chain is good. */
enum Severity: string
{
    case Off = 'off';
    case Hint = 'hint';
    case Should = 'should';
    case Must = 'must';
    case Credit = 'credit';

    /** What breaks a chain first; a credit after everything that is found fault with. */
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

    /** One step more, as far as there is one. */
    public function heavier(): self
    {
        return match ($this) {
            self::Hint => self::Should,
            self::Should => self::Must,
            default => $this,
        };
    }

    /** Whether it finds fault, from that severity on. */
    public function isAtLeast(self $other): bool
    {
        return self::Credit !== $this && $this->rank() >= $other->rank();
    }
}
