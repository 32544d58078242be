<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** A page of the logbook. */
final readonly class LogPage
{
    /**
     * @param list<LogRow> $entries the newest first
     * @param int $total how many there are in all
     */
    public function __construct(public array $entries, public int $total)
    {
    }
}
