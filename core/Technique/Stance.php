<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The leading foot: left for orthodox, right for southpaw. */
enum Stance: string
{
    case Orthodox = 'orthodox';
    case Southpaw = 'southpaw';

    public function other(): self
    {
        return self::Orthodox === $this ? self::Southpaw : self::Orthodox;
    }

    public function sideOf(Role $role): Side
    {
        return (self::Orthodox === $this) === (Role::Lead === $role) ? Side::Left : Side::Right;
    }

    public function roleOf(Side $side): Role
    {
        return $side === $this->sideOf(Role::Lead) ? Role::Lead : Role::Rear;
    }
}
