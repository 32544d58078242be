<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\App\Words\GymWords;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/** Runs a search for paper and files, which must be understood completely. */
final readonly class CompleteSearch
{
    public function __construct(private CombinationQuery $query, private Catalogue $catalogue, private GymWords $words)
    {
    }

    /**
     * @return list<int> ids in the order of the sort
     *
     * @throws Refused with the place of what is not understood
     */
    public function all(SearchRequest $list, Numbering $numbering): array
    {
        $search = (new SearchReader($numbering, $this->catalogue, $this->words->glue()))->read($list->q);
        if (!$search->isUnderstood()) {
            throw new Invalid(
                t(
                    'The search was not understood, so no file was made. {problem}',
                    problem: $search->problems[0]->message,
                ),
                ['problems' => array_map(static fn ($problem): array => (array) $problem, $search->problems)],
                type: 'unreadable-search',
            );
        }

        return $this->query->all($search->clauses, $list);
    }
}
