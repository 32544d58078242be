<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Technique\Role;

/** The load on the front foot when a strike lands. */
final readonly class DrawnLoad
{
    public function __construct(public int $ms, public float $y, public Role $role)
    {
    }
}
