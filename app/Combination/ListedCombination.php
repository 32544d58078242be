<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Serializer\RenderedLine;

/** A row of the library, with its line. */
final readonly class ListedCombination extends ShownCombination
{
    public LineDrawing $line;

    public function __construct(CombinationSummary $summary, RenderedLine $rendered)
    {
        parent::__construct($summary, $rendered->text);
        $this->line = $rendered->line;
    }
}
