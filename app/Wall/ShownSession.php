<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

/** A session that runs, as far as a wall knows it. */
interface ShownSession
{
    public function id(): int;
}
