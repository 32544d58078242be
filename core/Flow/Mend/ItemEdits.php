<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Lists all changes that can be made by hand to one item and leave a valid chain. */
final readonly class ItemEdits
{
    private EditList $edits;

    public function __construct(private Catalogue $catalogue)
    {
        $this->edits = new EditList($catalogue);
    }

    /**
     * @param int $index place of the item
     *
     * @return list<ItemEdit>
     */
    public function list(Chain $chain, int $index): array
    {
        $items = $chain->items;
        $item = $items[$index];
        $all = [];
        if (\count($items) > 1) {
            $all[] = new ItemEdit(ItemEditKind::LeaveOut, t('leave out'), $this->leftOut($items, $index), null);
        }
        if ($index > 0) {
            $all[] = new ItemEdit(
                ItemEditKind::Earlier,
                t('move earlier'),
                [Edit::insert($index - 1, $item), Edit::drop($index)],
                $index - 1,
            );
        }
        if (isset($items[$index + 1])) {
            $all[] = new ItemEdit(
                ItemEditKind::Later,
                t('move later'),
                [Edit::drop($index), Edit::insert($index + 2, $item)],
                $index + 1,
            );
        }
        $others = $item instanceof StrikeItem ? [
            ...$this->targets($item),
            ...$this->efforts($item),
        ] : [];
        foreach ($others as $other) {
            $all[] = new ItemEdit(
                $other->kind,
                $other->name,
                [Edit::exchange($index, $other->item)],
                $index,
                ItemEditKind::Target === $other->kind ? $other->item->target : null,
            );
        }
        foreach ($this->others($item) as $other) {
            $all[] = new ItemEdit(ItemEditKind::Exchange, $other->name(), [Edit::exchange($index, $other)], $index);
        }

        return array_values(
            array_filter(
                $all,
                static fn (ItemEdit $edit): bool => EditList::isValid(Edit::apply($items, $edit->edits)),
            ),
        );
    }

    /**
     * The strike that landed together with it is no longer joined.
     *
     * @param list<Item> $items
     *
     * @return list<Edit>
     */
    private function leftOut(array $items, int $index): array
    {
        $next = $items[$index + 1] ?? null;
        $leads = !($items[$index] instanceof StrikeItem && $items[$index]->belongsToBefore());

        return [
            Edit::drop($index),
            ...$leads && $next instanceof StrikeItem && $next->belongsToBefore()
                ? [Edit::exchange($index + 1, $next->with(joined: false, legUp: false))]
                : [],
        ];
    }

    /** @return iterable<Replacement> */
    private function targets(StrikeItem $item): iterable
    {
        foreach ($item->strike->targets as $target) {
            if ($target !== $item->target) {
                yield new Replacement(
                    ItemEditKind::Target,
                    t('to the {target}', target: $target->word()),
                    $item->by($item->strike, $target),
                );
            }
        }
    }

    /** @return iterable<Replacement> */
    private function efforts(StrikeItem $item): iterable
    {
        foreach (['light' => Effort::Light, 'plain' => Effort::Plain, 'hard' => Effort::Hard] as $name => $effort) {
            if ($effort !== $item->effort && !$item->feint) {
                yield new Replacement(ItemEditKind::Effort, $name, $item->with(effort: $effort));
            }
        }
        yield $item->feint
            ? new Replacement(ItemEditKind::Effort, 'deliver', $item->with(feint: false))
            : new Replacement(ItemEditKind::Effort, 'feint', $item->with(effort: Effort::Plain, feint: true));
    }

    /** @return list<Item> the other strikes of its limb, or the other moves of its kind */
    private function others(Item $item): array
    {
        if ($item instanceof MoveItem) {
            $alike = array_filter(
                $this->catalogue->moves,
                static fn ($move): bool => $move->kind === $item->move->kind && $move !== $item->move,
            );

            return [...array_map(static fn ($move): MoveItem => new MoveItem($move), array_values($alike)), new Beat()];
        }

        return $this->edits->exchanges($item);
    }
}
