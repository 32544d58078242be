<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Load;

use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\StrikeTrait;
use Periplus\Core\Technique\Target;

/** The load of a session for one athlete: strikes by side, limb, weapon and target, and minutes by stance. */
final class Load
{
    public float $repetitions = 0.0;
    /** Delivered strikes, including free ones. */
    public float $strikes = 0.0;
    /** Free strikes whose side is unknown. */
    public float $free = 0.0;
    /** @var array{left: float, right: float} */
    public array $bySide = ['left' => 0.0, 'right' => 0.0];
    /** @var array<string, float> by limb */
    public array $byLimb = ['hand' => 0.0, 'elbow' => 0.0, 'leg' => 0.0, 'knee' => 0.0];
    /** @var array<string, float> by side and limb, such as "left hand" */
    public array $byLimbOfSide = [];
    /** @var array<string, float> by family of strikes, such as "hook" */
    public array $byWeapon = [];
    /** @var array<string, float> by the id of the strike, such as "jab" */
    public array $byStrike = [];
    /** @var array<string, float> by target */
    public array $byTarget = ['head' => 0.0, 'body' => 0.0, 'leg' => 0.0];
    /** @var array{left: float, right: float} kicks that land with the shin on a bag or a partner */
    public array $shins = ['left' => 0.0, 'right' => 0.0];
    public float $uppercutsOnBag = 0.0;
    /** Strikes to a partner's head. */
    public float $partnerHead = 0.0;
    /** @var array<string, float> ms of work in each stance */
    public array $stanceMs = ['orthodox' => 0.0, 'southpaw' => 0.0];
    /** @var array{left: float, right: float} */
    private array $jabs = ['left' => 0.0, 'right' => 0.0];
    /** Repetitions that start with a strike, and those that start with a jab. */
    public float $openings = 0.0;
    public float $jabOpenings = 0.0;

    public function __construct(public readonly int $workMs, public readonly int $restMs)
    {
        foreach (Side::cases() as $side) {
            foreach (Limb::cases() as $limb) {
                $this->byLimbOfSide[$side->value.' '.$limb->value] = 0.0;
            }
        }
    }

    /** @param Target|null $target null when the athlete chooses */
    public function count(float $times, Side $side, Limb $limb, ?Target $target, ?Strike $strike, Medium $medium): void
    {
        $family = $strike?->family;
        $this->strikes += $times;
        $this->bySide[$side->value] += $times;
        $this->byLimb[$limb->value] += $times;
        $this->byLimbOfSide[$side->value.' '.$limb->value] += $times;
        if ('jab' === $strike?->id) {
            $this->jabs[$side->value] += $times;
        }
        if (null !== $strike) {
            $this->byWeapon[$family] = ($this->byWeapon[$family] ?? 0.0) + $times;
            $this->byStrike[$strike->id] = ($this->byStrike[$strike->id] ?? 0.0) + $times;
        }
        if (null !== $target) {
            $this->byTarget[$target->word()] += $times;
            $this->partnerHead += Medium::Partner === $medium && Target::Head === $target ? $times : 0.0;
        }
        $properties = $medium->properties();
        if (true === $strike?->has(StrikeTrait::LandsWithShin) && $properties->hitsHard()) {
            $this->shins[$side->value] += $times;
        }
        $this->uppercutsOnBag += true === $strike?->has(StrikeTrait::BendsWrist) && $properties->flat ? $times : 0.0;
    }

    /** Adds free strikes, whose side is unknown. */
    public function countFree(float $times, ?Limb $limb, ?Target $target): void
    {
        $this->strikes += $times;
        $this->free += $times;
        if (null !== $limb) {
            $this->byLimb[$limb->value] += $times;
        }
        if (null !== $target) {
            $this->byTarget[$target->word()] += $times;
        }
    }

    /**
     * Returns the share of the heavier side among the strikes whose side is known, 0.5 to 1; 0.5 when there are none.
     * Jabs weigh half where that is milder.
     */
    public function heavierShare(): float
    {
        // A jab loads its side less than a power punch does: it weighs a half where that makes the session more even.
        $shares = [];
        foreach ([1.0, 0.5] as $weight) {
            $sides = $this->bySide;
            foreach ($this->jabs as $side => $jabs) {
                $sides[$side] -= (1.0 - $weight) * $jabs;
            }
            $sum = array_sum($sides);
            $shares[] = $sum <= 0.0 ? 0.5 : max($sides) / $sum;
        }

        return min($shares);
    }
}
