<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Target;

/** Strikes that the athlete chooses. */
final readonly class FreeStrikes implements Item
{
    public const MAX_COUNT = 12;

    /** @param Target|null $target to which all of them go; null for any */
    public function __construct(public int $count, public ?Target $target = null)
    {
        if ($count < 1 || $count > self::MAX_COUNT) {
            throw InvalidChain::free($count);
        }
    }

    public function key(bool $withEffort = false): string
    {
        return '*'.$this->count.$this->target?->value;
    }

    public function name(): string
    {
        return 'free strikes';
    }

    public function role(): ?Role
    {
        return null;
    }

    public function changesStance(): bool
    {
        return false;
    }

    public function duration(Body $body): float
    {
        return $this->count * $body->freeStrike;
    }

    public function accept(ItemVisitor $visitor): mixed
    {
        return $visitor->freeStrikes($this);
    }
}
