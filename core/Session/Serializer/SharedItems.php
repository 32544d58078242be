<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** What the combinations of a set share, so that one is learned from the other. */
final readonly class SharedItems
{
    /**
     * @param string $place of the set in the plan
     * @param list<list<int>> $items places of the items that each combination shares with the one before
     */
    public function __construct(public string $place, public array $items)
    {
    }
}
