<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/** A combination on a path. */
final readonly class PathStep
{
    /**
     * @param int|null $id null when it is not in the library
     * @param string $notation in parity numbering
     * @param list<NewLink> $new
     */
    public function __construct(
        public ?int $id,
        public string $name,
        public string $notation,
        public Stance $stance,
        public string $text,
        public LineDrawing $line,
        public Verdict $verdict,
        public array $new,
    ) {
    }
}
