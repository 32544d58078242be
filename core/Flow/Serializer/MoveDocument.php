<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Technique\Feet;

/** A move of a check. */
final readonly class MoveDocument extends ItemDocument
{
    /** Id of the move. */
    public string $move;
    public Feet $feet;

    public function __construct(ItemPlace $place, MoveItem $item)
    {
        parent::__construct($place, 'move', $item->move->words(), $item->move->toward);
        $this->move = $item->move->id;
        $this->feet = $item->move->feet;
    }
}
