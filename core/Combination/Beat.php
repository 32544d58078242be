<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Role;

/** A pause in stance. */
final readonly class Beat implements Item
{
    public function key(bool $withEffort = false): string
    {
        return '/';
    }

    public function name(): string
    {
        return 'beat';
    }

    public function role(): ?Role
    {
        return null;
    }

    public function changesStance(): bool
    {
        return false;
    }

    public function duration(Body $body): float
    {
        return $body->beat;
    }

    public function accept(ItemVisitor $visitor): mixed
    {
        return $visitor->beat($this);
    }
}
