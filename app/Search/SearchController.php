<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Combination\ListedCombination;
use Periplus\App\Http\PlainText;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Words\GymWords;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Search\Clause;
use Periplus\Core\Search\SearchQuery;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Lists the library. It runs on every keystroke of a search, so it does not use the ORM. */
final readonly class SearchController
{
    public function __construct(
        private CombinationQuery $query,
        private CombinationTable $table,
        private LineRenderer $lines,
        private GymNumberings $numberings,
        private Catalogue $catalogue,
        private Reader $reader,
        private GymWords $words,
    ) {
    }

    #[Route('/api/combinations', methods: 'GET')]
    public function __invoke(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] SearchRequest $list = new SearchRequest(),
    ): JsonResponse {
        $numbering = $this->numberings->forUser($user);
        $search = (new SearchReader($numbering, $this->catalogue, $this->words->glue()))->read($list->q);
        // Text that is not understood is not ignored: nothing is found until it is corrected.
        $found = $search->isUnderstood() ? $this->query->page($search->clauses, $list) : new FoundPage([], 0);
        [$ids, $total] = [$found->ids, $found->total];
        if ($list->closest && 1 === $list->page) {
            $ids = \array_slice(
                array_values(array_unique([...$this->closest($list, $numbering), ...$ids])),
                0,
                $list->size,
            );
            $total = max($total, \count($ids));
        }
        $rows = array_map(
            fn (CombinationSummary $row): ListedCombination => $this->lines->row($row, $numbering),
            $this->table->summaries($ids),
        );

        return new JsonResponse([
            'combinations' => $rows,
            'total' => $total,
            'page' => $list->page,
            'size' => $list->size,
            'numbering' => $numbering->id,
            'search' => [
                'clauses' => array_map(
                    static fn (Clause $clause): array => ['text' => $clause->text(), 'says' => $clause->says()],
                    $search->clauses,
                ),
                'problems' => $search->problems,
                'passedOver' => $search->passedOver,
            ],
            'without' => 0 === $total ? $this->without($search, $list) : [],
        ]);
    }

    /** @return list<int> those whose name or chain begins with what was typed, and that pass the filters */
    private function closest(SearchRequest $list, Numbering $numbering): array
    {
        $typed = PlainText::line($list->q);
        if ('' === $typed) {
            return [];
        }
        $chain = $this->reader->read($typed, $numbering, Stance::Orthodox)->chain;
        $ids = $this->table->closest($typed, null === $chain ? null : Sequence::of($chain)->text(), $list->size);
        $passing = [] === $ids ? [] : $this->query->all([], $list->among($ids));

        return array_values(array_intersect($ids, $passing));
    }

    /**
     * Counts what would be found without each clause, for a search without results; if it is not understood, without
     * that part.
     *
     * @return list<WiderSearch>
     */
    private function without(SearchQuery $search, SearchRequest $list): array
    {
        if (!$search->isUnderstood()) {
            return [];
        }
        [$clauses, $without] = [$search->clauses, []];
        foreach ($clauses as $index => $clause) {
            $rest = $clauses;
            unset($rest[$index]);
            $without[] = new WiderSearch($clause->text(), $this->query->count(array_values($rest), $list));
        }
        foreach ($list->filters() as $filter => $value) {
            $without[] = new WiderSearch(
                $filter.' '.$value,
                $this->query->count($clauses, $list->without($filter)),
            );
        }

        return $without;
    }
}
