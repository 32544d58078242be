<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\LineRenderer;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Similarity\Relation;

/** Serializes the result of {@see SimilarCombinations}. */
final readonly class MatchRenderer
{
    public const MAX_SHOWN = 12;

    public function __construct(private LineRenderer $lines)
    {
    }

    /**
     * @param list<array{
     *     row: array{id: int, name: string, notation: string, stance: string, verdict: string},
     *     relation: Relation,
     *     distance: float,
     * }> $found
     *
     * @return array{matches: list<array<string, mixed>>, total: int} the first of them, and how many there are
     */
    public function render(array $found, Numbering $numbering): array
    {
        return [
            'matches' => array_map(
                fn (array $match): array => [
                    ...$this->lines->with($match['row'], $numbering),
                    'relation' => $match['relation']->value,
                    'distance' => $match['distance'],
                ],
                \array_slice($found, 0, self::MAX_SHOWN),
            ),
            'total' => \count($found),
        ];
    }
}
