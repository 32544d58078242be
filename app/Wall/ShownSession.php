<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

/** A running session as a wall sees it. */
interface ShownSession
{
    public function id(): int;
}
