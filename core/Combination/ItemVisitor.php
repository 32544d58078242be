<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/**
 * An operation on items, with one method for each kind, so that PHPStan reports where a new kind is missing.
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
