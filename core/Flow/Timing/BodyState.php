<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Head;
use Periplus\Core\Technique\Role;

/**
 * The body as it is carried along a chain, between one item and the next. {@see FlowModel} moves it on; a copy of it
 * is a place from which a search can go on in several ways.
 */
final class BodyState
{
    /** Numbers nearer than this are the same; a rounding error. */
    private const SAME = 1e-9;

    /** Band of range, 1..5. */
    public int $range;
    /** Share of the weight on the lead foot, 0..1. */
    public float $load = 0.5;
    /** Turn of hips and shoulders, -1..1. */
    public float $turn = 0.0;
    /** Place of the item that last set the load, and the turn; null at the start. */
    public ?int $loadBy = null;
    public ?int $turnBy = null;
    /** When everything before is released, ms. */
    public float $released = 0.0;
    /** Time that the body has had to come back since, ms: moves that ask nothing of it, or a leg on its way home. */
    public float $slack = 0.0;
    /** How many times as long the body takes to come back from the last item; above 1 after a hard strike. */
    public float $heavy = 1.0;
    /** Where the head was taken and still is: to a side, or back; null on the line. */
    public Role|Head|null $head = null;
    /** Whether the opponent is held, out of which nobody drifts. */
    public bool $held = false;
    /** Whether the last item was a jab that stepped in. */
    public bool $jabbed = false;
    /**
     * The limb of the last strike while only changes of stance came after it, with the turn that it left, as the stance
     * is now.
     */
    public ?int $changedLimb = null;
    public float $changedTurn = 0.0;
    /** Place of the move that left the feet crossed or square, if one did. */
    public ?int $crossedBy = null;
    public bool $stanceChanged = false;
    /** How many items were taken so far. */
    public int $count = 0;
    /** When the last item began, landed (null for what does not land) and was released, ms. */
    public float $start = 0.0;
    public ?float $impact = null;
    public float $end = 0.0;
    /**
     * Load at the start of the last item, its wait included, and what the item left: a foot that lands in front reads
     * both anew.
     */
    public float $loadFrom = 0.5;
    public float $leftLoad = 0.5;
    public float $leftTurn = 0.0;
    /**
     * Place of the first of the strikes that land together with the last one, and by how much they had to wait for it,
     * ms.
     */
    public int $togetherFrom = 0;
    public float $delay = 0.0;
    /** The limb that struck last, while nothing came after it. */
    public ?int $lastLimb = null;
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
     */
    public function __construct(
        public readonly Catalogue $catalogue,
        public readonly float $tempo,
        public readonly bool $frontFootHook,
        public readonly bool $jabStepsIn = true,
    ) {
        $this->range = $catalogue->body->startRange;
    }

    /** Tells an arm or a leg of the body from the other through changes of stance: 0 and 1 are arms, 2 and 3 legs. */
    public function limb(StrikeItem $item): int
    {
        return ($item->strike->limb->isArm() ? 0 : 2) + $this->sideOf($item->strike->role);
    }

    /** The leg of that role, as {@see limb} numbers it. */
    public function leg(Role $role): int
    {
        return 2 + $this->sideOf($role);
    }

    /** Tells one side of the body from the other through changes of stance: 0 or 1. */
    private function sideOf(Role $role): int
    {
        return (Role::Lead === $role) === $this->stanceChanged ? 1 : 0;
    }

    /** The item being taken puts weight and hips there. */
    public function settle(float $load, float $turn): void
    {
        $this->load = $load;
        $this->turn = $turn;
        $this->loadBy = $this->turnBy = $this->count;
        $this->slack = 0.0;
        $this->heavy = 1.0;
    }

    /**
     * Whether whatever follows finds the same body here and there, whenever that is. What is joined to the last item is
     * not among it: that depends on the item itself. The first item waits for nothing, so that nothing is like the
     * start.
     *
     * @param float $gap ms from release to the earliest start of what follows
     */
    public function continuesLike(self $other, float $gap): bool
    {
        return (0 === $this->count) === (0 === $other->count)
            && $this->range === $other->range
            && $this->stanceChanged === $other->stanceChanged
            && (null === $this->crossedBy) === (null === $other->crossedBy)
            && $this->head === $other->head
            && $this->jabbed === $other->jabbed
            && $this->held === $other->held
            && $this->changedLimb === $other->changedLimb
            && $this->lastLimb === $other->lastLimb
            && abs($this->changedTurn - $other->changedTurn) < self::SAME
            && abs($this->heavy - $other->heavy) < self::SAME
            && abs($this->load - $other->load) < self::SAME
            && abs($this->turn - $other->turn) < self::SAME
            && abs($this->slack - $other->slack) < self::SAME
            && $this->owed($gap) === $other->owed($gap);
    }

    /** The same for states of which {@see continuesLike} holds, so that what follows need be worked out once. */
    public function signature(float $gap): string
    {
        return implode(' ', [
            (int) (0 === $this->count),
            $this->range,
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
            // From the item after the next on, the same arm has to be home altogether.
            $owed[] = $limb === $this->lastLimb ? round(max(0.0, $this->limbs[$limb][0] - $ready), 6) : 0.0;
        }

        return $owed;
    }

    /** The last item as it was timed. */
    public function moment(): Moment
    {
        return new Moment(
            $this->start,
            $this->impact,
            $this->end,
            $this->loadFrom,
            $this->leftLoad,
            $this->leftTurn,
            $this->range,
        );
    }
}
