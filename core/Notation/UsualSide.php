<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;

/** The side that a move without one goes to, and why. */
final readonly class UsualSide
{
    public function __construct(public Role $role, public string $why)
    {
    }
}
