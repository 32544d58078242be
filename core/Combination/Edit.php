<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** A small change of a chain. */
final readonly class Edit
{
    private function __construct(public EditKind $kind, public int $at, public ?Item $item)
    {
    }

    /** @param int $at place before which it goes, 0 to the length of the chain */
    public static function insert(int $at, Item $item): self
    {
        return new self(EditKind::Insert, $at, $item);
    }

    public static function exchange(int $at, Item $item): self
    {
        return new self(EditKind::Exchange, $at, $item);
    }

    public static function drop(int $at): self
    {
        return new self(EditKind::Drop, $at, null);
    }

    /**
     * Returns the number of items between the edit and the link at that index; an insertion is part of the link
     * itself.
     */
    public function distance(int $place): int
    {
        return EditKind::Insert === $this->kind
            ? abs($this->at - $place)
            : min(abs($this->at - $place), abs($this->at - $place + 1));
    }

    /**
     * Tells whether both edits can be made: they touch different items, and an insertion comes before a change at the
     * same index.
     */
    public function mayPrecede(self $later): bool
    {
        return $this->at < $later->at || ($this->at === $later->at && EditKind::Insert === $this->kind);
    }

    /**
     * @param list<Item> $items
     * @param list<self> $edits in the order of their places
     *
     * @return list<Item>
     */
    public static function apply(array $items, array $edits): array
    {
        $result = [];
        $next = 0;
        foreach ($edits as $edit) {
            while ($next < $edit->at) {
                $result[] = $items[$next++];
            }
            if (null !== $edit->item) {
                $result[] = $edit->item;
            }
            if (EditKind::Insert !== $edit->kind) {
                ++$next;
            }
        }

        return [...$result, ...\array_slice($items, $next)];
    }
}
