<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;

/** A chain that is shown beside that of a cue: one of a menu, or an easier or a harder form. */
final readonly class Beside
{
    /** @param string $label such as "easier"; empty for one of a menu */
    public function __construct(public string $label, public Chain $chain)
    {
    }
}
