<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

/** A chain beside that of a cue. */
final readonly class WallBeside
{
    /**
     * @param string $label such as "easier"; empty for one of a menu
     * @param int $chain place in the list of chains
     */
    public function __construct(public string $label, public int $chain)
    {
    }
}
