<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/** A side in a line of words. */
final readonly class FoundSide
{
    /** @param int $next the place after it */
    public function __construct(public Role|Side $side, public int $next)
    {
    }
}
