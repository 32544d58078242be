<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\SqlCondition;

/** A compiled clause. The condition on the row always works; the index of terms may be faster. */
final readonly class Criterion
{
    /**
     * @param SqlCondition|null $row on the row c; null where the terms alone can tell
     * @param list<Alternative> $alternatives empty when the index of terms does not help
     * @param bool $isTrait whether an index over the rows tells it as well, and many have it
     */
    public function __construct(
        public ?SqlCondition $row,
        public array $alternatives = [],
        public bool $isTrait = false,
    ) {
    }

    /** @param list<self> $criteria */
    public static function allOfRows(array $criteria): bool
    {
        return [] === array_filter($criteria, static fn (self $criterion): bool => null === $criterion->row);
    }

    /** @param non-empty-list<self> $criteria of which one has to hold */
    public static function either(array $criteria): self
    {
        $terms = [] === array_filter($criteria, static fn (self $criterion): bool => [] === $criterion->alternatives);

        return new self(
            // Terms are used when all parts have them, if at least one part needs them.
            $terms && !self::allOfRows($criteria)
                ? null
                : SqlCondition::any(array_map(
                    static fn (self $criterion): SqlCondition => $criterion->row
                        ?? $criterion->ids()->within('c.id IN (', ')'),
                    $criteria,
                )),
            $terms ? array_merge(...array_column($criteria, 'alternatives')) : [],
            [] === array_filter($criteria, static fn (self $criterion): bool => !$criterion->isTrait),
        );
    }

    /** Returns a select of the ids of all combinations in use that fulfil it. */
    public function ids(): SqlCondition
    {
        $selects = array_map(static function (Alternative $alternative): SqlCondition {
            $ids = SqlCondition::joined('SELECT i.id FROM (', ' INTERSECT ', ') i', array_map(
                static fn (SqlCondition $term): SqlCondition => $term->within(
                    'SELECT combination_id AS id FROM index_term WHERE term ',
                ),
                $alternative->terms,
            ));

            return null === $alternative->row ? $ids : CombinationTable::among($ids, $alternative->row);
        }, $this->alternatives);
        if (1 === \count($selects)) {
            // UNION removes duplicates, even of a single select.
            $selects[] = new SqlCondition('SELECT 0 FROM DUAL WHERE 1 = 0');
        }

        return SqlCondition::joined('SELECT id FROM (', ' UNION ', ') u', $selects);
    }
}
