<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\Pushed;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Strike;

/** The state of the body between two items of a chain. {@see FlowModel} updates it; a copy lets a search branch. */
final class BodyState
{
    /** Difference below which two numbers count as equal; a rounding error. */
    private const TOLERANCE = 1e-9;
    /** The band of hooks. */
    private const HOOKS = 2;

    /** Range band, 1..5. */
    public int $range;
    /** The band to which a pushed bag swings back; a strike meets it anywhere from there to the range. */
    public ?int $swingsTo = null;
    /** Tells whether a kick of the rear leg has come home, so that the weight is going back. */
    public bool $cameHome = false;
    /** Share of the weight on the lead foot, 0..1. */
    public float $load = 0.5;
    /** Turn of hips and shoulders, -1..1. */
    public float $turn = 0.0;
    /** Indices of the items that last set the load and the turn; null at the start. */
    public ?int $loadBy = null;
    public ?int $turnBy = null;
    /** Time at which everything before is released, ms. */
    public float $released = 0.0;
    /**
     * Time since then in which the body could recover, in ms: moves that need nothing of it, or a leg on its way
     * back.
     */
    public float $slack = 0.0;
    /** Factor by which recovery from the last item is slower; above 1 after a hard strike. */
    public float $heavy = 1.0;
    /** Side the head was moved to and still is at, or back; null on the line. */
    public Role|Head|null $head = null;
    /** Tells whether the opponent is held; a hold keeps the range. */
    public bool $held = false;
    /** Tells whether the last item was a jab that stepped in. */
    public bool $jabbed = false;
    /**
     * The limb of the last strike while only stance changes have followed it, with the turn it left, in the current
     * stance.
     */
    public ?int $changedLimb = null;
    public float $changedTurn = 0.0;
    /** Index of the move that left the feet crossed or square, if any. */
    public ?int $crossedBy = null;
    public bool $stanceChanged = false;
    /** Number of items taken so far. */
    public int $count = 0;
    /** Times in ms at which the last item began, landed (null when it does not land) and was released. */
    public float $start = 0.0;
    public ?float $impact = null;
    public float $end = 0.0;
    /** Band in which the last strike met the opponent; null when it was none, or a feint. */
    public ?int $met = null;
    /**
     * Load at the start of the last item, including its wait, and what the item left; needed when a foot lands in front
     * and lead and rear swap.
     */
    public float $loadFrom = 0.5;
    public float $leftLoad = 0.5;
    public float $leftTurn = 0.0;
    /** Load and turn at the start of the last move, in the stance after it: where its path begins. */
    public float $pathLoad = 0.5;
    public float $pathTurn = 0.0;
    /**
     * Index of the first of the strikes that land together with the last one, and how long they had to wait for it, ms.
     */
    public int $togetherFrom = 0;
    public float $delay = 0.0;
    /** The limb of the last strike, while nothing has followed it. */
    public ?int $lastLimb = null;
    /** The last strike, while nothing has followed it. */
    public ?Strike $last = null;
    /**
     * @var array<int, array{
     *     float,
     *     float,
     *     int,
     * }> by limb: when it is home again, home enough for the same arm, and the strike's place
     */
    public array $limbs = [];

    /**
     * @param Catalogue $catalogue strikes, moves and body with the gym's own numbers
     * @param bool $frontFootHook the school in which a lead hook ends over the front foot
     * @param bool $jabStepsIn the school in which a jab brings the athlete nearer
     * @param Pushed $pushed what happens to the opponent or the bag when it is pushed
     */
    public function __construct(
        public readonly Catalogue $catalogue,
        public readonly float $tempo,
        public readonly bool $frontFootHook,
        public readonly bool $jabStepsIn = true,
        public readonly Pushed $pushed = Pushed::Away,
    ) {
        $this->range = $catalogue->body->startRange;
    }

    /** Returns a number for the limb that survives stance changes: 0 and 1 are arms, 2 and 3 legs. */
    public function limb(StrikeItem $item): int
    {
        return ($item->strike->limb->isArm() ? 0 : 2) + $this->sideOf($item->strike->role);
    }

    /** Returns the number of the leg with that role, as in {@see limb}. */
    public function leg(Role $role): int
    {
        return 2 + $this->sideOf($role);
    }

    /** Returns a number for the side of the body that survives stance changes: 0 or 1. */
    private function sideOf(Role $role): int
    {
        return (Role::Lead === $role) === $this->stanceChanged ? 1 : 0;
    }

    /** Records where the current item leaves weight and hips. */
    public function settle(float $load, float $turn): void
    {
        $this->load = $load;
        $this->turn = $turn;
        $this->loadBy = $this->turnBy = $this->count;
        $this->slack = 0.0;
        $this->heavy = 1.0;
    }

    /**
     * Tells whether anything that follows behaves the same from both states. Strikes joined to the last item are
     * excluded, because they depend on it; and no state equals the start, because the first item never waits.
     *
     * @param float $gap ms from release to the earliest start of what follows
     */
    public function continuesLike(self $other, float $gap): bool
    {
        return (0 === $this->count) === (0 === $other->count)
            && $this->range === $other->range
            && $this->swingsTo === $other->swingsTo
            && $this->cameHome === $other->cameHome
            && ($this->last->turnsInto ?? []) === ($other->last->turnsInto ?? [])
            && $this->stanceChanged === $other->stanceChanged
            && (null === $this->crossedBy) === (null === $other->crossedBy)
            && $this->head === $other->head
            && $this->jabbed === $other->jabbed
            && $this->held === $other->held
            && $this->changedLimb === $other->changedLimb
            && $this->lastLimb === $other->lastLimb
            && abs($this->changedTurn - $other->changedTurn) < self::TOLERANCE
            && abs($this->heavy - $other->heavy) < self::TOLERANCE
            && abs($this->load - $other->load) < self::TOLERANCE
            && abs($this->turn - $other->turn) < self::TOLERANCE
            && abs($this->slack - $other->slack) < self::TOLERANCE
            && $this->owed($gap) === $other->owed($gap);
    }

    /** Returns a key that is equal for states for which {@see continuesLike} holds, so that results can be cached. */
    public function signature(float $gap): string
    {
        return implode(' ', [
            (int) (0 === $this->count),
            $this->range,
            $this->swingsTo ?? '',
            (int) $this->cameHome,
            implode(',', $this->last->turnsInto ?? []),
            (int) $this->stanceChanged,
            (int) (null !== $this->crossedBy),
            $this->head->value ?? '',
            (int) $this->jabbed,
            (int) $this->held,
            $this->changedLimb ?? '',
            $this->lastLimb ?? '',
            round($this->changedTurn, 8),
            $this->heavy,
            round($this->load, 8),
            round($this->turn, 8),
            round($this->slack, 6),
            ...$this->owed($gap),
        ]);
    }

    /**
     * @return list<float> ms by which each limb is not home when what follows could start, and not home enough for the
     *                     same arm
     */
    private function owed(float $gap): array
    {
        $ready = $this->released + $gap;
        $owed = [];
        for ($limb = 0; $limb < 4; ++$limb) {
            $home = $this->limbs[$limb][$limb === $this->lastLimb ? 1 : 0] ?? 0.0;
            $owed[] = $home > $ready ? round($home - $ready, 6) : 0.0;
            // From the item after the next on, the same arm must be fully back.
            $owed[] = $limb === $this->lastLimb ? round(max(0.0, $this->limbs[$limb][0] - $ready), 6) : 0.0;
        }

        return $owed;
    }

    /** Tells whether a rear kick has come home and took the weight with it, away from a strike that works close. */
    public function goesBackFrom(StrikeItem $item): bool
    {
        $ranges = $item->strike->ranges($item->target);

        return $this->cameHome && $ranges[\count($ranges) - 1] <= self::HOOKS;
    }

    /** Tells whether the last item was a move, a beat or free strikes. */
    public function moved(): bool
    {
        return null === $this->impact;
    }

    /**
     * Returns the body on the path of the last move, at the moment at which a strike has to begin that lands when both
     * are done.
     *
     * @param float $out from start to impact of that strike, ms
     */
    public function alongTheMove(float $out): self
    {
        $move = $this->end - $this->start;
        $share = $move > $out ? ($move - $out) / $move : 0.0;
        $body = clone $this;
        $body->load = $this->pathLoad + $share * ($this->load - $this->pathLoad);
        $body->turn = $this->pathTurn + $share * ($this->turn - $this->pathTurn);
        $body->slack = 0.0;

        return $body;
    }

    /** Returns the body as a strike finds it: on the path of the move with which it goes. */
    public function foundBy(Item $item): self
    {
        return $item instanceof StrikeItem && $item->joined && $this->moved()
            ? $this->alongTheMove($this->catalogue->strikes[$item->strike->id]->out * $this->tempo)
            : $this;
    }

    /** Returns the timing of the last item. */
    public function moment(): Moment
    {
        return new Moment(
            start: $this->start,
            impact: $this->impact,
            end: $this->end,
            loadFrom: $this->loadFrom,
            load: $this->leftLoad,
            turn: $this->leftTurn,
            range: $this->range,
            met: $this->met,
        );
    }
}
