<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The side of the body. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';

    public function other(): self
    {
        return self::Left === $this ? self::Right : self::Left;
    }
}
