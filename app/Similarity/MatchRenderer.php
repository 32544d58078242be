<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;
use Periplus\App\Combination\LineRenderer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Stance;

/** Serializes the result of {@see SimilarCombinations}. */
final readonly class MatchRenderer
{
    public const MAX_SHOWN = 12;

    public function __construct(private LineRenderer $lines)
    {
    }

    /** @param list<RelatedChain> $found */
    public function render(array $found, Numbering $numbering): Matches
    {
        return new Matches(
            array_map(
                fn (RelatedChain $one): ShownMatch => new ShownMatch($one, $this->text($one->row, $numbering)),
                \array_slice($found, 0, self::MAX_SHOWN),
            ),
            \count($found),
        );
    }

    /** Returns the chain in a numbering. */
    public function text(ChainRow $row, Numbering $numbering): string
    {
        return $this->lines->text($row->notation, Stance::from($row->stance), $numbering);
    }
}
