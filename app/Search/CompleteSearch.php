<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Technique\Catalogue;

/** Runs a search for paper and files, which must be understood completely. */
final readonly class CompleteSearch
{
    public function __construct(private CombinationQuery $query, private Catalogue $catalogue)
    {
    }

    /**
     * @return list<int> ids in the order of the sort
     *
     * @throws Refused with the place of what is not understood
     */
    public function all(SearchRequest $list, Numbering $numbering): array
    {
        $search = (new SearchReader($numbering, $this->catalogue))->read($list->q);
        if (!$search->isUnderstood()) {
            throw new Invalid(
                'This search is not understood, so nothing was made of it. '.$search->problems[0]->message,
                ['problems' => array_map(static fn ($problem): array => (array) $problem, $search->problems)],
                type: 'unreadable-search',
            );
        }

        return $this->query->all($search->clauses, $list);
    }
}
