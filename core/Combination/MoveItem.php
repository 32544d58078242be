<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Move;

final readonly class MoveItem implements Item
{
    public function __construct(public Move $move)
    {
    }

    public function key(bool $withEffort = false): string
    {
        return $this->move->id;
    }
}
