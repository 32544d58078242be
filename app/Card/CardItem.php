<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;

/** What is heard of an item when a card is played. */
final readonly class CardItem
{
    /** Strike or move. */
    public string $kind;
    public ?int $impactMs;
    public ?Role $role;
    public ?Limb $limb;
    public bool $feint;
    /** Light, plain or hard. */
    public ?string $effort;

    public function __construct(Item $item, Moment $moment)
    {
        $strike = $item instanceof StrikeItem ? $item : null;
        $this->kind = null === $strike ? 'move' : 'strike';
        $this->impactMs = null === $moment->impact ? null : (int) round($moment->impact);
        $this->role = $item->role();
        $this->limb = $strike?->strike->limb;
        $this->feint = $strike->feint ?? false;
        $this->effort = $strike?->effort->word();
    }
}
