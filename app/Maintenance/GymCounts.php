<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** What a gym holds, to compare it with a backup. */
final readonly class GymCounts
{
    /**
     * @param array<string, int> $counts by what is counted
     * @param list<string> $combinations names of combinations in use, sorted
     */
    public function __construct(public string $name, public array $counts, public array $combinations)
    {
    }
}
