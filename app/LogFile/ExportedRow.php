<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Logbook\DrilledRow;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;

/** What an exported entry drilled. */
final readonly class ExportedRow
{
    /** Name of the combination. */
    public string $combination;
    /** In parity numbering, as {@see $thrown}. */
    public ?string $chain;
    public Stance $stance;
    public ?string $thrown;
    public Medium $medium;
    public ?int $level;
    public int $ms;
    public int $otherMs;
    public float $repetitions;
    public float $strikes;

    public function __construct(DrilledRow $row)
    {
        $this->combination = $row->name;
        $this->chain = $row->notation;
        $this->stance = $row->stance;
        $this->thrown = $row->thrown;
        $this->medium = $row->medium;
        $this->level = $row->level;
        $this->ms = $row->ms;
        $this->otherMs = $row->otherMs;
        $this->repetitions = $row->repetitions;
        $this->strikes = $row->strikes;
    }
}
