<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Serializer\RenderedLine;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Technique\Stance;

/** A combination of an entry: for how long it was drilled, its line, and which links fell apart. */
final readonly class DrilledCombination
{
    public ?int $id;
    public ?string $name;
    public string $notation;
    public Stance $stance;
    public int $ms;
    public int $otherMs;
    public float $repetitions;
    public string $text;
    public LineDrawing $line;

    /**
     * @param non-empty-list<DrilledRow> $rows of that chain
     * @param list<ShownFallenLink> $fallen
     * @param list<list<Fault>> $faults what to look for at each link
     */
    public function __construct(array $rows, RenderedLine $drawn, public array $fallen, public array $faults)
    {
        $first = $rows[0];
        $this->id = $first->combination;
        $this->name = $first->name;
        $this->notation = (string) $first->notation;
        $this->stance = $first->stance;
        $this->ms = array_sum(array_map(static fn (DrilledRow $row): int => $row->ms, $rows));
        $this->otherMs = array_sum(array_map(static fn (DrilledRow $row): int => $row->otherMs, $rows));
        $this->repetitions = round(
            array_sum(array_map(static fn (DrilledRow $row): float => $row->repetitions, $rows)),
            1,
        );
        $this->text = $drawn->text;
        $this->line = $drawn->line;
    }
}
