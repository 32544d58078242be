<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

/** What an onlooker sees at a link. A chain has the verdict of its worst link. */
enum Verdict: string
{
    case Flows = 'flows';
    case Reload = 'reload';
    case Breaks = 'breaks';

    public function worse(self $other): self
    {
        return $this->rank() >= $other->rank() ? $this : $other;
    }

    public function rank(): int
    {
        return match ($this) {
            self::Flows => 0,
            self::Reload => 1,
            self::Breaks => 2,
        };
    }
}
