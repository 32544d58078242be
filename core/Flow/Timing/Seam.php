<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Item;

/** The link of a chain that is repeated: from its last item to its first, which may come in the other stance. */
final readonly class Seam
{
    /**
     * @param list<Item> $items of the chain, and its first one again
     * @param BodyState $found the body as the first item finds it
     */
    public function __construct(public Link $link, private array $items, private BodyState $found)
    {
    }

    /** Returns what it waits for, in plain words. */
    public function reason(): string
    {
        return (new LinkReason($this->items, $this->link, $this->found))->explain();
    }
}
