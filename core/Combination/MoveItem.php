<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Role;

final readonly class MoveItem implements Item
{
    public function __construct(public Move $move)
    {
    }

    public function key(bool $withEffort = false): string
    {
        return $this->move->id;
    }

    public function name(): string
    {
        return $this->move->words();
    }

    public function role(): ?Role
    {
        return $this->move->toward;
    }

    public function changesStance(): bool
    {
        return $this->move->changesStance();
    }

    public function duration(Body $body): float
    {
        return $this->move->duration;
    }

    public function accept(ItemVisitor $visitor): mixed
    {
        return $visitor->move($this);
    }
}
