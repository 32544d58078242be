<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Limb;

/** A strike of a check. */
final readonly class StrikeDocument extends ItemDocument
{
    public Limb $limb;
    /** Head, body or leg. */
    public string $target;
    /** Light, plain or hard. */
    public string $effort;
    public bool $feint;
    public bool $joined;
    /** @var 'back'|'forward'|'behind'|'halfway' */
    public string $landing;
    public bool $legUp;

    public function __construct(ItemPlace $place, string $label, StrikeItem $item)
    {
        parent::__construct($place, 'strike', $label, $item->strike->role);
        $this->limb = $item->strike->limb;
        $this->target = $item->target->word();
        $this->effort = $item->effort->word();
        $this->feint = $item->feint;
        $this->joined = $item->joined;
        $this->landing = $item->landing->word();
        $this->legUp = $item->legUp;
    }
}
