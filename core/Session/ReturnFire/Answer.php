<?php

declare(strict_types=1);

namespace Periplus\Core\Session\ReturnFire;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/** A strike that the opponent answers with. */
final readonly class Answer
{
    /**
     * @param Stance $opponent the opponent's stance
     * @param Side $side of theirs that throws it
     * @param list<Defence> $defences
     */
    public function __construct(
        public StrikeItem $strike,
        public Stance $opponent,
        public Side $side,
        public array $defences,
    ) {
    }
}
