<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * A chain thrown from a starting stance, so that each role becomes a side. The chain is walked once, because a switch,
 * a shift or a kick that lands forward changes the stance in which later roles are read.
 */
final readonly class ChainInStance
{
    /** @var list<Stance> the running stance in which each item begins */
    public array $stances;
    /** The stance after the last item. */
    public Stance $end;

    public function __construct(public Chain $chain, public Stance $stance)
    {
        $running = $stance;
        $stances = [];
        foreach ($chain->items as $item) {
            $stances[] = $running;
            $running = self::after($item, $running);
        }
        $this->stances = $stances;
        $this->end = $running;
    }

    /** Returns the stance after the item. */
    public static function after(Item $item, Stance $stance): Stance
    {
        return $item->changesStance() ? $stance->other() : $stance;
    }

    /** Returns the side of the body that the item uses or goes to, or null when it has none. */
    public function side(int $index): ?Side
    {
        $role = $this->chain->items[$index]->role();

        return null === $role ? null : $this->stances[$index]->sideOf($role);
    }

    /** Returns the same roles in the other stance: the numbers stay, left and right swap. */
    public function mirror(): self
    {
        return new self($this->chain, $this->stance->other());
    }
}
