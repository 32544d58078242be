<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Notation\ReadingProblem;

/** A search of the library: the clauses, which all have to hold, and what was not understood. */
final readonly class SearchQuery
{
    /**
     * @param list<Clause> $clauses
     * @param list<ReadingProblem> $problems each with its place in the text
     * @param list<string> $passedOver words of the strikes and moves that carry nothing
     */
    public function __construct(public array $clauses, public array $problems, public array $passedOver = [])
    {
    }

    public function isUnderstood(): bool
    {
        return [] === $this->problems;
    }
}
