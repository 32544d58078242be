<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** A pause back in stance. */
final readonly class Beat implements Item
{
    public function key(bool $withEffort = false): string
    {
        return '/';
    }
}
