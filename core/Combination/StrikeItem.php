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
     * @param bool $joined lands together with the strike before it
     * @param bool $landsForward the rear foot comes down in front, so the stance changes
     */
    public function __construct(
        public Strike $strike,
        public Target $target,
        public Effort $effort = Effort::Plain,
        public bool $feint = false,
        public bool $joined = false,
        public bool $landsForward = false,
    ) {
        if (!\in_array($target, $strike->targets, true)) {
            throw InvalidChain::target($strike, $target);
        }
        if ($landsForward && !self::canLandForward($strike)) {
            throw InvalidChain::landing($strike);
        }
    }

    public static function canLandForward(Strike $strike): bool
    {
        return !$strike->limb->isArm() && Role::Rear === $strike->role;
    }

    public function with(
        ?Effort $effort = null,
        ?bool $feint = null,
        ?bool $joined = null,
        ?bool $landsForward = null,
    ): self {
        return new self(
            $this->strike,
            $this->target,
            $effort ?? $this->effort,
            $feint ?? $this->feint,
            $joined ?? $this->joined,
            $landsForward ?? $this->landsForward,
        );
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
        return ($this->joined ? '+' : '')
            .($this->feint ? '(' : '')
            .$this->strike->id.'.'.$this->target->value
            .($withEffort ? $this->effort->value : '')
            .($this->landsForward ? '>' : '');
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
        return $this->landsForward && !$this->feint;
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
