<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/**
 * A movement that is not a strike. Duration in ms; load and turn at the end, or null where the move leaves them
 * unchanged. Units and sources are in core/data/moves.json.
 */
final readonly class Move
{
    /** The band of the clinch. */
    private const CLINCH = 1;

    /**
     * @param string $sign a letter and a digit that stand for it in stored sequences, never used for another
     * @param Window|null $needsLoad share of the weight on the lead foot that it needs at its start; null for any
     * @param Role|null $foot the foot that steps or the leg that comes up, where it is one alone
     * @param int|null $startsAt band at which a chain begins with it; null for what is done in a chain
     */
    public function __construct(
        public string $id,
        public string $sign,
        public MoveKind $kind,
        public int $duration,
        public ?float $load,
        public ?float $turn,
        public ?Window $needsLoad,
        public ?Role $foot,
        public int $range,
        public bool $toClinch,
        public Head $head,
        public Feet $feet,
        public ?Role $toward,
        public string $carry,
        public ?string $carryNote,
        public ?int $startsAt = null,
    ) {
    }

    public function changesStance(): bool
    {
        return Feet::Change === $this->feet;
    }

    /** Tells whether it says where a chain begins: it stands before everything else and takes no time. */
    public function isStart(): bool
    {
        return MoveKind::Start === $this->kind;
    }

    /** Tells whether the opponent is held, pushed or posted with it, or held from the beginning. */
    public function occupies(): bool
    {
        return MoveKind::Contact === $this->kind || self::CLINCH === $this->startsAt;
    }

    public function movesHead(): bool
    {
        return Head::Stays !== $this->head;
    }

    /** Returns where the head is afterwards: to a side, or back; null where it returns by itself. */
    public function headTo(): Role|Head|null
    {
        return match (true) {
            MoveKind::Defence !== $this->kind, Head::Stays === $this->head => null,
            Head::Back === $this->head => $this->head,
            default => $this->toward,
        };
    }

    /**
     * Tells whether it takes the athlete off the line of a straight counter: a slip, a roll, a pivot, a circle or a
     * sidestep.
     */
    public function leavesLine(): bool
    {
        return match ($this->head) {
            Head::Lead, Head::Rear, Head::Off => true,
            Head::Low => null !== $this->toward,
            Head::Stays, Head::Back => false,
        };
    }

    /** Tells whether the whole body takes a new angle, not only the head. */
    public function takesAngle(): bool
    {
        return Head::Off === $this->head && null !== $this->toward;
    }

    /**
     * Tells whether a strike can go with it as one action. The hands are busy in a push, a post or a clinch, and a leg
     * that steps or checks does not strike.
     */
    public function allowsStrikeOf(Strike $strike): bool
    {
        return match (true) {
            MoveKind::Contact === $this->kind, $this->isStart() => false,
            $strike->limb->isArm() => true,
            default => $strike->startsOnOneLeg()
                && $this->foot !== $strike->role
                && !(MoveKind::Defence === $this->kind && null !== $this->foot),
        };
    }

    /**
     * Tells whether coaches call a strike as one action with it: none going out, no kick with a slip, a roll or a duck,
     * and out of a roll the hand that it loads. Common practice, no source.
     */
    public function suits(Strike $strike): bool
    {
        if ($this->range > 0) {
            return false;
        }
        if (MoveKind::Defence !== $this->kind || !$this->movesHead()) {
            return true;
        }

        return $strike->limb->isArm()
            && (Head::Low !== $this->head || null === $this->toward || $this->toward === $strike->role);
    }

    /** Returns its words by role: "slip lead", "step in". */
    public function words(): string
    {
        return strtr($this->id, '-', ' ');
    }
}
