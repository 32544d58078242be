<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** An entry of the logbook with what was drilled. */
final readonly class OpenEntry extends ShownEntry
{
    /** @param list<DrilledCombination> $drilled each combination once */
    public function __construct(LogRow $row, public array $drilled)
    {
        parent::__construct($row);
    }
}
