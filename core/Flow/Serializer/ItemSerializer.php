<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\ItemVisitor;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;

/**
 * Serializes an item of a check.
 *
 * @implements ItemVisitor<ItemDocument>
 */
final readonly class ItemSerializer implements ItemVisitor
{
    public function __construct(private Writer $writer, private Stance $running, private ItemPlace $place)
    {
    }

    public function strike(StrikeItem $item): ItemDocument
    {
        return new StrikeDocument(
            $this->place,
            $this->writer->code($item, $this->running) ?? $item->strike->name,
            $item,
        );
    }

    public function move(MoveItem $item): ItemDocument
    {
        return new MoveDocument($this->place, $item);
    }

    public function beat(Beat $item): ItemDocument
    {
        return new ItemDocument($this->place, 'beat', 'beat');
    }

    public function freeStrikes(FreeStrikes $item): ItemDocument
    {
        return new ItemDocument($this->place, 'free', $this->writer->item($item, $this->running));
    }
}
