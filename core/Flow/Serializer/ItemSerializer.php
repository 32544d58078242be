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
 * Serializes an item of a check: its kind and the fields of that kind.
 *
 * @implements ItemVisitor<array<string, mixed>>
 */
final readonly class ItemSerializer implements ItemVisitor
{
    public function __construct(private Writer $writer, private Stance $running)
    {
    }

    public function strike(StrikeItem $item): array
    {
        return [
            'kind' => 'strike',
            'label' => $this->writer->code($item, $this->running) ?? $item->strike->name,
            'role' => $item->strike->role->value,
            'limb' => $item->strike->limb->value,
            'target' => $item->target->word(),
            'effort' => strtolower($item->effort->name),
            'feint' => $item->feint,
            'joined' => $item->joined,
            'landsForward' => $item->landsForward,
        ];
    }

    public function move(MoveItem $item): array
    {
        return [
            'kind' => 'move',
            'label' => $item->move->words(),
            'role' => $item->move->toward?->value,
            'move' => $item->move->id,
            'feet' => $item->move->feet->value,
        ];
    }

    public function beat(Beat $item): array
    {
        return ['kind' => 'beat', 'label' => 'beat', 'role' => null];
    }

    public function freeStrikes(FreeStrikes $item): array
    {
        return ['kind' => 'free', 'label' => $this->writer->item($item, $this->running), 'role' => null];
    }
}
