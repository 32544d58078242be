<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Combination\StrikeItem;

/**
 * The body as it is carried along the chain.
 *
 * @internal to {@see Bookkeeper}
 */
final class State
{
    public float $load = 0.5;
    public float $turn = 0.0;
    /** Place of the item that last set the load, and the turn; null at the start. */
    public ?int $loadBy = null;
    public ?int $turnBy = null;
    public int $range;
    /** When everything before is released, ms. */
    public float $released = 0.0;
    /** Time that moves which ask nothing of the body have given it to come back, ms. */
    public float $slack = 0.0;
    /** Place of the move that left the feet crossed or square, if one did. */
    public ?int $crossedBy = null;
    public bool $stanceChanged = false;
    /** @var array<string, array{home: float, short: float, at: int}> by limb: home again, home enough for the same arm, and the strike */
    public array $limbs = [];
    public ?string $lastLimb = null;

    public function __construct(int $range)
    {
        $this->range = $range;
    }

    /** Names an arm or a leg of the body through changes of stance. */
    public function limb(StrikeItem $item): string
    {
        return ($item->strike->limb->isArm() ? 'arm' : 'leg').(('lead' === $item->strike->role->value) !== $this->stanceChanged ? ' A' : ' B');
    }

    public function settle(float $load, float $turn, int $by): void
    {
        [$this->load, $this->turn, $this->loadBy, $this->turnBy, $this->slack] = [$load, $turn, $by, $by, 0.0];
    }
}
