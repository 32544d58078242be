<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Mend;

use Periplus\Core\Combination\StrikeItem;

/** A strike with another target or effort, and how the choice is called. */
final readonly class Replacement
{
    public function __construct(public ItemEditKind $kind, public string $name, public StrikeItem $item)
    {
    }
}
