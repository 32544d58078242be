<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\Edit;
use Periplus\Core\Technique\Target;

/** A change that a coach can make by hand to one item of a chain. */
final readonly class ItemEdit
{
    /**
     * @param list<Edit> $edits in the order of their places
     * @param string $name what a coach calls it: "leave out", "to the body", "lead uppercut"
     * @param int|null $at index of the item afterwards; null when it is removed
     * @param Target|null $target where the strike goes then, when that is what changes
     */
    public function __construct(
        public ItemEditKind $kind,
        public string $name,
        public array $edits,
        public ?int $at,
        public ?Target $target = null,
    ) {
    }
}
