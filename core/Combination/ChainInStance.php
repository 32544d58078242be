<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * A chain thrown from a starting stance: what was a role becomes a side. It walks the chain once, since a switch,
 * a shift or a kick that lands forward changes the stance in which every later role is read.
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

    /** The running stance once the item is done. */
    public static function after(Item $item, Stance $stance): Stance
    {
        return $item->changesStance() ? $stance->other() : $stance;
    }

    /** The side of the body the item uses or goes to, or null when it has none. */
    public function side(int $at): ?Side
    {
        $role = $this->chain->items[$at]->role();

        return null === $role ? null : $this->stances[$at]->sideOf($role);
    }

    /** The same roles in the other stance: numbers stay, left and right swap. */
    public function mirror(): self
    {
        return new self($this->chain, $this->stance->other());
    }
}
