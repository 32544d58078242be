<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Session\Load\Load;

/** The load of a session for one athlete: numbers of strikes to a tenth. */
final readonly class LoadDocument
{
    public float $repetitions;
    public float $strikes;
    public float $free;
    /** @var array<string, float> */
    public array $bySide;
    /** @var array<string, float> */
    public array $byLimb;
    /** @var array<string, float> by side and limb, such as "left hand" */
    public array $byLimbOfSide;
    /** @var \ArrayObject<string, float> by family of strikes, the most first */
    public \ArrayObject $byWeapon;
    /** @var array<string, float> */
    public array $byTarget;
    /** @var array<string, float> kicks that land with the shin, by side */
    public array $shins;
    public float $uppercutsOnBag;
    public float $partnerHead;
    /** @var array<string, int> */
    public array $stanceMs;
    /** Share of the repetitions that start with a jab; null when none starts with a strike. */
    public ?float $jabShare;
    public int $workMs;
    public int $restMs;

    public function __construct(Load $load)
    {
        $tenth = static fn (float $number): float => round($number, 1);
        $byWeapon = $load->byWeapon;
        arsort($byWeapon);
        $this->repetitions = $tenth($load->repetitions);
        $this->strikes = $tenth($load->strikes);
        $this->free = $tenth($load->free);
        $this->bySide = array_map($tenth, $load->bySide);
        $this->byLimb = array_map($tenth, $load->byLimb);
        $this->byLimbOfSide = array_map($tenth, $load->byLimbOfSide);
        $this->byWeapon = new \ArrayObject(array_map($tenth, $byWeapon));
        $this->byTarget = array_map($tenth, $load->byTarget);
        $this->shins = array_map($tenth, $load->shins);
        $this->uppercutsOnBag = $tenth($load->uppercutsOnBag);
        $this->partnerHead = $tenth($load->partnerHead);
        $this->stanceMs = array_map(static fn (float $ms): int => (int) round($ms), $load->stanceMs);
        $this->jabShare = 0.0 === $load->openings ? null : round($load->jabOpenings / $load->openings, 3);
        $this->workMs = $load->workMs;
        $this->restMs = $load->restMs;
    }
}
