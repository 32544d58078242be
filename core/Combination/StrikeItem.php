<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/** A strike in a chain: with target and effort, feinted or delivered. */
final readonly class StrikeItem implements Item
{
    /**
     * @param bool $feint shown, not delivered
     * @param bool $joined lands together with the strike or move before it
     * @param Landing $landing where the foot of a kick or knee comes down
     * @param bool $legUp by the leg of the kick before it, whose foot has not come down in between
     */
    public function __construct(
        public Strike $strike,
        public Target $target,
        public Effort $effort = Effort::Plain,
        public bool $feint = false,
        public bool $joined = false,
        public Landing $landing = Landing::Back,
        public bool $legUp = false,
    ) {
        if (!\in_array($target, $strike->targets, true)) {
            throw InvalidChain::target($strike, $target);
        }
        if (Landing::Back !== $landing && !$landing->isOpenTo($strike)) {
            throw InvalidChain::landing($strike, $landing);
        }
    }

    public function with(
        ?Effort $effort = null,
        ?bool $feint = null,
        ?bool $joined = null,
        ?Landing $landing = null,
        ?bool $legUp = null,
    ): self {
        return new self(
            strike: $this->strike,
            target: $this->target,
            effort: $effort ?? $this->effort,
            feint: $feint ?? $this->feint,
            joined: $joined ?? $this->joined,
            landing: $landing ?? $this->landing,
            legUp: $legUp ?? $this->legUp,
        );
    }

    /** Returns another strike with the same marks; where that leg cannot land so, it comes down where it left. */
    public function by(Strike $strike, Target $target): self
    {
        return new self(
            strike: $strike,
            target: $target,
            effort: $this->effort,
            feint: $this->feint,
            joined: $this->joined,
            landing: $this->landing->isOpenTo($strike) ? $this->landing : Landing::Back,
            legUp: $this->legUp,
        );
    }

    /** Tells whether it is one action with the item before it: it lands together with it, or the leg has stayed up. */
    public function belongsToBefore(): bool
    {
        return $this->joined || $this->legUp;
    }

    public function delivered(): bool
    {
        return !$this->feint;
    }

    /** Tells whether both strikes use the same limb. Two strikes may land together only from different limbs. */
    public function sharesLimbWith(self $other): bool
    {
        return $this->strike->role === $other->strike->role
            && $this->strike->limb->isArm() === $other->strike->limb->isArm();
    }

    /** Tells whether it is a kick or a knee. */
    public function isLegStrike(): bool
    {
        return !$this->strike->limb->isArm();
    }

    public function isKnee(): bool
    {
        return Limb::Knee === $this->strike->limb;
    }

    public function key(bool $withEffort = false): string
    {
        return ($this->joined ? '+' : ($this->legUp ? '^' : ''))
            .($this->feint ? '(' : '')
            .$this->strike->id.'.'.$this->target->value
            .($withEffort ? $this->effort->value : '')
            .$this->landing->value;
    }

    public function name(): string
    {
        return $this->strike->name;
    }

    public function role(): Role
    {
        return $this->strike->role;
    }

    public function changesStance(): bool
    {
        return $this->landing->changesStance() && !$this->feint;
    }

    public function duration(Body $body): float
    {
        return $this->strike->out + $this->strike->back;
    }

    public function accept(ItemVisitor $visitor): mixed
    {
        return $visitor->strike($this);
    }
}
