<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/**
 * What is done with an item by its kind. Each kind has a method, so that a new kind cannot be forgotten anywhere.
 *
 * @template-covariant T
 */
interface ItemVisitor
{
    /** @return T */
    public function strike(StrikeItem $item): mixed;

    /** @return T */
    public function move(MoveItem $item): mixed;

    /** @return T */
    public function beat(Beat $item): mixed;

    /** @return T */
    public function freeStrikes(FreeStrikes $item): mixed;
}
