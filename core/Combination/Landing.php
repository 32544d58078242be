<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Strike;

/** Where the foot of a kick or knee comes down. In front or behind, the other foot leads afterwards. */
enum Landing: string
{
    /** Where it left. */
    case Back = '';
    /** A rear foot in front of the other one. */
    case Forward = '>';
    /** A lead foot behind the other one. */
    case Behind = '<';

    /** Returns the leg that can land there; null where any can. */
    public function role(): ?Role
    {
        return match ($this) {
            self::Back => null,
            self::Forward => Role::Rear,
            self::Behind => Role::Lead,
        };
    }

    public function isOpenTo(Strike $strike): bool
    {
        return self::Back === $this || (!$strike->limb->isArm() && $strike->role === $this->role());
    }

    /** @return 'back'|'forward'|'behind' the word for it in the API */
    public function word(): string
    {
        return match ($this) {
            self::Back => 'back',
            self::Forward => 'forward',
            self::Behind => 'behind',
        };
    }
}
