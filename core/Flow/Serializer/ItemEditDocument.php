<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Mend\ItemEditKind;
use Periplus\Core\Flow\Timing\Verdict;

/** A change that can be made by hand, with its result. */
final readonly class ItemEditDocument
{
    /**
     * @param string|null $target head, body or leg, when that is what changes
     * @param string $text the whole line after the change, as it was typed
     * @param int|null $at where the item is afterwards; null when it is gone
     */
    public function __construct(
        public ItemEditKind $kind,
        public string $name,
        public ?string $target,
        public string $text,
        public ?int $at,
        public Verdict $verdict,
        public int $lengthMs,
    ) {
    }
}
