<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Notation\ReadingProblem;

/** What is looked for in the library: clauses that all have to hold, and what could not be understood. */
final readonly class SearchQuery
{
    /**
     * @param list<Clause> $clauses
     * @param list<ReadingProblem> $problems each with its place in the text
     */
    public function __construct(public array $clauses, public array $problems)
    {
    }

    public function isUnderstood(): bool
    {
        return [] === $this->problems;
    }
}
