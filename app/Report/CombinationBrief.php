<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Drawing\LineDrawing;

/** A combination as reports show it. */
final readonly class CombinationBrief
{
    public function __construct(
        public int $id,
        public string $name,
        public string $text,
        public int $level,
        public bool $archived,
        public ?LineDrawing $line,
    ) {
    }
}
