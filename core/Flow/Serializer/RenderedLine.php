<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;

/** A stored chain in a numbering, with its verdict and its drawing. */
final readonly class RenderedLine
{
    public function __construct(public string $text, public Verdict $verdict, public LineDrawing $line)
    {
    }
}
