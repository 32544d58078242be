<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\ItemVisitor;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Stance;

/**
 * Writes one item of a line of numbers; a strike without a number is written in words, by role.
 *
 * @internal use {@see Writer}
 *
 * @implements ItemVisitor<string>
 */
final readonly class ItemNumbers implements ItemVisitor
{
    public function __construct(private Writer $writer, private Stance $running)
    {
    }

    public function strike(StrikeItem $item): string
    {
        $number = $this->writer->number($item, $this->running);
        if (null === $number) {
            return Words::byRole()->item($item, $this->running);
        }
        $text = $number.$this->effort($item->effort).$item->landing->value;

        return match (true) {
            $item->feint => ($item->legUp ? '^' : '').'('.$text.')',
            $item->joined => '+'.$text,
            default => ($item->legUp ? '^' : '').$text,
        };
    }

    public function move(MoveItem $item): string
    {
        return $item->move->id;
    }

    public function beat(Beat $item): string
    {
        return '/';
    }

    public function freeStrikes(FreeStrikes $item): string
    {
        $choice =
            [] === $item->choice
                ? ''
                : '('.implode(',', array_map($this->strike(...), $item->choice)).')';

        return '*'
            .$choice
            .(1 === $item->count && null === $item->target ? '' : $item->count.$item->target?->value)
            .$this->effort($item->effort);
    }

    private function effort(Effort $effort): string
    {
        return Effort::Plain === $effort ? '' : $effort->value;
    }
}
