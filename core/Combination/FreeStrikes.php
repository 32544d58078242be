<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** Strikes of the athlete's own choice. */
final readonly class FreeStrikes implements Item
{
    public const MOST = 12;

    public function __construct(public int $count)
    {
        if ($count < 1 || $count > self::MOST) {
            throw InvalidChain::free($count);
        }
    }

    public function key(bool $withEffort = false): string
    {
        return '*'.$this->count;
    }
}
