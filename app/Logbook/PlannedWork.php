<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** A combination of a planned session, with the work on it. */
final readonly class PlannedWork
{
    /** The combination of the library; null for a chain that was only typed into the plan. */
    public ?int $id;
    public string $name;
    public int $ms;
    public int $otherMs;

    /**
     * @param non-empty-list<DrilledRow> $rows of that chain
     * @param string $text in the numbering of the coach
     */
    public function __construct(array $rows, public string $text)
    {
        $this->id = $rows[0]->combination;
        $this->name = $rows[0]->name;
        $this->ms = array_sum(array_map(static fn (DrilledRow $row): int => $row->ms, $rows));
        $this->otherMs = array_sum(array_map(static fn (DrilledRow $row): int => $row->otherMs, $rows));
    }
}
