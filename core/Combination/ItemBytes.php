<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/**
 * Encodes one item as bytes of a {@see Sequence}.
 *
 * @implements ItemVisitor<string>
 */
final readonly class ItemBytes implements ItemVisitor
{
    public function strike(StrikeItem $item): string
    {
        return ($item->joined ? Sequence::JOINED : ($item->legUp ? Sequence::LEG_UP : ''))
            .($item->feint ? Sequence::FEINT : '')
            .match ($item->landing) {
                Landing::Back => '',
                Landing::Forward => Sequence::FORWARD,
                Landing::Behind => Sequence::BEHIND,
                Landing::HalfWay => Sequence::HALF_WAY,
            }
        .$item->strike->sign
        .$item->target->value;
    }

    public function move(MoveItem $item): string
    {
        return $item->move->sign;
    }

    public function beat(Beat $item): string
    {
        return Sequence::BEAT;
    }

    public function freeStrikes(FreeStrikes $item): string
    {
        return Sequence::free($item->count, $item->target, $item->choice);
    }
}
