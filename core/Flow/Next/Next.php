<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Next;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\BodyState;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\LinkReason;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Lists what flows from here: every strike at every target it reaches, and every move, what is usual there first. */
final readonly class Next
{
    /** @var list<Item> */
    private array $items;
    private FlowModel $model;

    public function __construct(Catalogue $catalogue)
    {
        $items = [];
        foreach ($catalogue->strikes as $strike) {
            foreach ($strike->targets as $target) {
                $items[] = new StrikeItem($strike, $target);
            }
        }
        foreach ($catalogue->moves as $move) {
            $items[] = new MoveItem($move);
        }
        $this->items = $items;
        $this->model = new FlowModel();
    }

    /**
     * @param list<Item> $before the items up to the cursor
     * @param Usage|null $usage what is usual in the gym; null for what ships
     *
     * @return list<Continuation> of what the sport lets land, the better verdict first; of equal ones what usually
     *                            comes there, and then the shorter wait
     */
    public function after(array $before, CheckOptions $options, ?Usage $usage = null): array
    {
        $usage ??= Usage::shipped($options->rules->id);
        $state = $this->model->begin($options->rules, $options->tempo, $options->medium);
        foreach ($before as $item) {
            $this->model->take($state, $item);
        }
        $ranked = [];
        foreach ($this->items as $order => $item) {
            if ($item instanceof StrikeItem && !\in_array($item->strike->limb, $options->rules->allows, true)) {
                // Strikes that the sport does not allow to land are not offered.
                continue;
            }
            if ([] !== $before && $item instanceof MoveItem && $item->move->isStart()) {
                continue;
            }
            $ranked[] = $plain = $this->ranked($item, $order, $before, $state, $usage);
            $tied = $plain[1]->wait > 0.0 ? Chain::tied($before[\count($before) - 1] ?? null, $item) : null;
            $quicker = null === $tied ? null : $this->ranked($tied, $order, $before, $state, $usage);
            // Tied to the item before it only where that is what lets it flow sooner.
            if (null !== $quicker && $quicker[1]->wait < $plain[1]->wait) {
                $ranked[] = $quicker;
            }
        }
        usort($ranked, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($ranked, 1);
    }

    /**
     * @param list<Item> $before
     *
     * @return array{list<float|int>, Continuation} what it is sorted by, and the continuation
     */
    private function ranked(Item $item, int $order, array $before, BodyState $state, Usage $usage): array
    {
        $then = clone $state;
        $link = $this->model->take($then, $item) ?? new Link(0, 0.0, Verdict::Flows, null, [], 0);
        $reason =
            0 === $state->count
                ? t('The chain can begin with the {item}.', item: $item->name())
                : (new LinkReason([...$before, $item], $link, $state->foundBy($item)))->explain();
        $count = \count($before);

        return [
            [
                $link->verdict->rank(),
                -$usage->share($before[$count - 2] ?? null, $before[$count - 1] ?? null, $item),
                round($link->wait, 3),
                $order,
            ],
            new Continuation($item, $link->wait, $link->verdict, $link->cause, $reason),
        ];
    }
}
