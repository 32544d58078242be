<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\App\Http\ApiProblem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Technique\Catalogue;

/** What a search finds, for paper and files: there it has to be understood to the end. */
final readonly class Searches
{
    public function __construct(private Finder $finder, private Catalogue $catalogue)
    {
    }

    /**
     * @return list<int> ids in the order of the sort
     *
     * @throws ApiProblem with the place of what is not understood
     */
    public function all(ListRequest $list, Numbering $numbering): array
    {
        $search = (new SearchReader($numbering, $this->catalogue))->read($list->q);
        if (!$search->isUnderstood()) {
            throw new ApiProblem(422, 'unreadable-search', 'This search is not understood, so nothing was made of it. '.$search->problems[0]->message, ['problems' => array_map(static fn ($problem): array => (array) $problem, $search->problems)]);
        }

        return $this->finder->all($search->clauses, $list);
    }
}
