<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Session\Load\Figures;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

/** The figures of a report: strikes to a tenth. */
readonly class FiguresDocument
{
    public float $strikes;
    public float $repetitions;
    public float $free;
    /** @var \ArrayObject<string, float> by family */
    public \ArrayObject $weapons;
    /** @var array<string, float> */
    public array $sides;
    /** @var array<string, float> */
    public array $limbs;
    /** @var array<string, array<string, float>> by limb and side */
    public array $limbSides;
    /** @var array<string, float> */
    public array $targets;
    /** @var array<string, int> */
    public array $stanceMs;
    public float $openings;
    public float $jabOpenings;

    public function __construct(Figures $figures)
    {
        $tenth = static fn (float $number): float => round($number, 1);
        $this->strikes = $tenth($figures->strikes());
        $this->repetitions = $tenth($figures->repetitions());
        $this->free = $tenth($figures->free());
        $weapons = [];
        foreach (Catalogue::builtIn()->families() as $family) {
            $weapons[$family] = $tenth($figures->weapon($family));
        }
        $this->weapons = new \ArrayObject($weapons);
        $sides = $limbs = $limbSides = $targets = $stances = [];
        foreach (Side::cases() as $side) {
            $sides[$side->value] = $tenth($figures->side($side));
        }
        foreach (Limb::cases() as $limb) {
            $limbs[$limb->value] = $tenth($figures->limb($limb));
            foreach (Side::cases() as $side) {
                $limbSides[$limb->value][$side->value] = $tenth($figures->limbOfSide($side, $limb));
            }
        }
        foreach (Target::cases() as $target) {
            $targets[$target->word()] = $tenth($figures->target($target));
        }
        foreach (Stance::cases() as $stance) {
            $stances[$stance->value] = (int) $figures->stanceMs($stance);
        }
        $this->sides = $sides;
        $this->limbs = $limbs;
        $this->limbSides = $limbSides;
        $this->targets = $targets;
        $this->stanceMs = $stances;
        $this->openings = $tenth($figures->openings());
        $this->jabOpenings = $tenth($figures->jabOpenings());
    }
}
