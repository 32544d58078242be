<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

/** A change that mirroring a chain brings, in one sentence. */
final readonly class MirrorChange
{
    /**
     * @param int|null $at place of the item in the chain, or null for the whole chain
     * @param StrikeItem|null $offer the strike of the same limb that keeps what is lost
     */
    public function __construct(
        public string $id,
        public ?int $at,
        public string $message,
        public ?StrikeItem $offer = null,
    ) {
    }
}
