<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\Accounts;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Gym\GymSettings;
use Periplus\Core\Search\Clause;

/** Compiles the clauses of a search to SQL conditions. */
final readonly class CriteriaCompiler
{
    public function __construct(private Accounts $accounts, private GymSettings $gym)
    {
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return list<Criterion>
     */
    public function compile(array $clauses, SearchRequest $list, bool $archived): array
    {
        $criteria = [];
        foreach ($list->filters() as $filter => $values) {
            // One of several values has to hold.
            $criteria[] = Criterion::either(
                array_map(
                    static fn (string $value): Criterion => match ($filter) {
                        'weapon' => ClauseCompiler::trait(
                            new SqlCondition('c.weapons LIKE ?', '%,'.$value.',%'),
                            ClauseCompiler::is(IndexTerms::TRAIT.$value),
                        ),
                        'rules' => ClauseCompiler::rules($value),
                        default => ClauseCompiler::column($filter, $value),
                    },
                    explode(',', $values),
                ),
            );
        }
        if ('' !== $list->ids) {
            $ids = array_map(intval(...), explode(',', $list->ids));
            $criteria[] = new Criterion(SqlCondition::in($ids)->within('c.id '));
        }
        foreach ($clauses as $clause) {
            $criteria[] = $clause->accept(new ClauseCompiler($this->accounts, $archived, $this->gym->today()));
        }

        return $criteria;
    }
}
