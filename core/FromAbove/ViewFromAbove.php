<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Technique\Stance;

/** A chain seen from above, in one stance against one opponent. */
final readonly class ViewFromAbove
{
    /**
     * @param bool $isOpen whether the stances differ
     * @param float $left edge of the floor that it shows, cm
     * @param float $top edge, cm
     * @param list<DrawnMoment> $moments the start first
     */
    public function __construct(
        public Stance $stance,
        public Stance $opponent,
        public bool $isOpen,
        public float $left,
        public float $top,
        public array $moments,
    ) {
    }
}
