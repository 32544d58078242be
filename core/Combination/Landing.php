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
    /** A rear foot short of where it left, so that the weight does not go back with it. */
    case HalfWay = '_';

    /** Returns the leg that can land there; null where any can. */
    public function role(): ?Role
    {
        return match ($this) {
            self::Back => null,
            self::Forward, self::HalfWay => Role::Rear,
            self::Behind => Role::Lead,
        };
    }

    public function isOpenTo(Strike $strike): bool
    {
        return self::Back === $this || (!$strike->limb->isArm() && $strike->role === $this->role());
    }

    /** Tells whether the other foot leads then. */
    public function changesStance(): bool
    {
        return self::Forward === $this || self::Behind === $this;
    }

    /** @return 'back'|'forward'|'behind'|'halfway' the word for it in the API and behind "landing" */
    public function word(): string
    {
        return match ($this) {
            self::Back => 'back',
            self::Forward => 'forward',
            self::Behind => 'behind',
            self::HalfWay => 'halfway',
        };
    }
}
