<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\Connection;
use Periplus\Core\Search\Clause;

/** Turns the clauses of a search into conditions of the database. */
final readonly class CriteriaCompiler
{
    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return list<Criterion>
     */
    public function of(array $clauses, SearchRequest $list, bool $archived): array
    {
        $criteria = [];
        if (null !== $list->weapon) {
            $criteria[] = ClauseCompiler::trait(['c.weapons LIKE ?', ['%,'.$list->weapon->value.',%']], ClauseCompiler::is(IndexTerms::TRAIT.$list->weapon->value));
        }
        if (null !== $list->rules) {
            $criteria[] = ClauseCompiler::rules($list->rules);
        }
        foreach (['verdict' => $list->verdict?->value, 'level' => $list->level] as $column => $value) {
            if (null !== $value) {
                $criteria[] = ClauseCompiler::column($column, $value);
            }
        }
        foreach ($clauses as $clause) {
            $criteria[] = $clause->accept(new ClauseCompiler($this->connection, $archived));
        }

        return $criteria;
    }
}
