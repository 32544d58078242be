<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** A page of {@see CombinationTotal}. */
final readonly class CombinationTotals
{
    /**
     * @param list<CombinationTotal> $rows
     * @param int $total how many there are in all
     */
    public function __construct(public array $rows, public int $total)
    {
    }
}
