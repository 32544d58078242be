<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** One place in a chain: a strike, a move, a beat or free strikes. */
interface Item
{
    /** What it is by role, the same in every stance and scheme; effort marks are left out unless asked for. */
    public function key(bool $withEffort = false): string;
}
