<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Session\Path\Known;

/** How much a course knows at the start of a path. */
final readonly class PathStart
{
    public int $links;
    public int $weapons;

    public function __construct(Known $known)
    {
        $this->links = \count($known->links);
        $this->weapons = \count($known->weapons);
    }
}
