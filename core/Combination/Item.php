<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Role;

/** One place in a chain: a strike, a move, a beat or free strikes. */
interface Item
{
    /** What it is by role, the same in every stance and numbering; effort marks are left out unless asked for. */
    public function key(bool $withEffort = false): string;

    /** Its name in a sentence, by role: "lead hook", "slip lead", "beat", "free strikes". */
    public function name(): string;

    /** The role of the limb it uses or of the side it goes to; null when it has none. */
    public function role(): ?Role;

    /** Whether the other foot is in front once it is done. */
    public function changesStance(): bool;

    /** How long it takes, in ms; a strike from its start until the limb is back. */
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
