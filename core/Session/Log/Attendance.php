<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Technique\Stance;

/**
 * The number of athletes of each stance and level. When they were not counted, one orthodox athlete and equal levels
 * are assumed.
 */
final readonly class Attendance
{
    /**
     * @param int|null $orthodox athletes; null when they were not counted
     * @param array<int, int> $levels athletes by level; empty when they were not counted
     */
    public function __construct(public ?int $orthodox = null, public ?int $southpaw = null, public array $levels = [])
    {
    }

    /** Returns the share of athletes in that stance, 0..1. */
    public function ofStance(Stance $stance): float
    {
        $all = ($this->orthodox ?? 0) + ($this->southpaw ?? 0);
        if (0 === $all) {
            return Stance::Orthodox === $stance ? 1.0 : 0.0;
        }

        return (Stance::Orthodox === $stance ? $this->orthodox ?? 0 : $this->southpaw ?? 0) / $all;
    }

    /**
     * Returns the share of that level among the athletes of the given levels, 0..1.
     *
     * @param int|null $level everybody when null
     * @param list<int> $levels that had a track of their own
     */
    public function ofLevel(?int $level, array $levels): float
    {
        if (null === $level) {
            return 1.0;
        }
        $counted = array_sum(array_intersect_key($this->levels, array_flip($levels)));

        return 0 === $counted ? 1.0 / max(1, \count($levels)) : ($this->levels[$level] ?? 0) / $counted;
    }
}
