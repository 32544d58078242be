<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Role;

/** One element of a chain: a strike, a move, a beat or free strikes. */
interface Item
{
    /** Returns a key by role that is the same in every stance and numbering; effort marks are left out by default. */
    public function key(bool $withEffort = false): string;

    /** Returns its name by role: "lead hook", "slip lead", "beat", "free strikes". */
    public function name(): string;

    /** Returns the role of the limb it uses or of the side it goes to; null when it has none. */
    public function role(): ?Role;

    /** Tells whether the other foot is in front afterwards. */
    public function changesStance(): bool;

    /** Returns its duration in ms; for a strike from its start until the limb is back. */
    public function duration(Body $body): float;

    /**
     * @template T
     *
     * @param ItemVisitor<T> $visitor
     *
     * @return T
     */
    public function accept(ItemVisitor $visitor): mixed;
}
