<?php

declare(strict_types=1);

namespace Periplus\Core\Session\ReturnFire;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Technique\Stance;

/** A defence against a strike, and the counters that are ready after it. */
final readonly class Defence
{
    /**
     * @param non-empty-list<MoveItem> $moves
     * @param string $why it takes the strike
     * @param Link|null $link from the chain to the first move
     * @param list<Continuation> $counters the soonest first
     * @param Stance $stance in which the athlete stands after the chain
     */
    public function __construct(
        public array $moves,
        public string $why,
        public ?Link $link,
        public array $counters,
        public Stance $stance,
    ) {
    }
}
