<?php

declare(strict_types=1);

namespace Periplus\Core\Session\ReturnFire;

use Periplus\Core\Combination\Chain;

/** What they throw, and what the athlete answers. */
final readonly class Beat
{
    /**
     * @param Chain $answer the defence and what follows it
     * @param list<Defence> $defences that take it, the best first
     * @param bool $isTaken whether the answer begins with a defence that takes it
     */
    public function __construct(
        public Chain $incoming,
        public Chain $answer,
        public array $defences,
        public bool $isTaken,
    ) {
    }
}
