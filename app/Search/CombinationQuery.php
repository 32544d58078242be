<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\Sort;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Gym\LibraryLock;
use Periplus\Core\Search\Clause;
use Periplus\Core\Search\FieldClause;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * Runs a search. Where a clause can use the index of terms, combinations are taken from it and the other clauses are
 * checked on those; otherwise one index over the rows is scanned.
 */
final readonly class CombinationQuery
{
    /**
     * @param int $few up to so many hits are sorted by themselves; where there are more, the index of the sort is read
     *                 until the page is full
     * @param int $stretch rows first read from the index of a sort to find many hits in their order
     */
    public function __construct(
        private Connection $connection,
        private CombinationTable $table,
        private CriteriaCompiler $criteria,
        private LibraryLock $lock,
        private CacheInterface $foundCache,
        private int $few = 3000,
        private int $stretch = 2000,
    ) {
    }

    /** @param list<Clause> $clauses */
    public function page(array $clauses, SearchRequest $list): FoundPage
    {
        $archived = $this->asksForArchived($clauses, $list);
        $criteria = $this->criteria->compile($clauses, $list, $archived);
        [$size, $skip] = [$list->size, ($list->page - 1) * $list->size];
        $found = $archived ? null : $this->ids($criteria);
        $ids = match (true) {
            null === $found, \count($found) > $this->few && Criterion::allOfRows($criteria) => $this->sorted(
                $criteria,
                $archived,
                $list,
                $size,
                $skip,
            ),
            default => $this->order($found, $list, $size, $skip),
        };

        return new FoundPage($ids, null === $found ? $this->scanned($criteria, $archived) : \count($found));
    }

    /** @param list<Clause> $clauses */
    public function count(array $clauses, SearchRequest $list): int
    {
        $archived = $this->asksForArchived($clauses, $list);
        $criteria = $this->criteria->compile($clauses, $list, $archived);
        $found = $archived ? null : $this->ids($criteria);

        return null === $found ? $this->scanned($criteria, $archived) : \count($found);
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return list<int> the ids of everything found, in the order of the sort
     */
    public function all(array $clauses, SearchRequest $list): array
    {
        $archived = $this->asksForArchived($clauses, $list);
        $criteria = $this->criteria->compile($clauses, $list, $archived);
        $found = $archived ? null : $this->ids($criteria);

        return null === $found
            ? $this->sorted($criteria, $archived, $list)
            : $this->order($found, $list, \count($found), 0);
    }

    /** @param list<Clause> $clauses */
    private function asksForArchived(array $clauses, SearchRequest $list): bool
    {
        return $list->archived || [] !== array_filter(
            $clauses,
            static fn (Clause $clause): bool => $clause instanceof FieldClause && 'archived' === $clause->value,
        );
    }

    /**
     * Searches with conditions on the rows alone, in sort order.
     *
     * @param list<Criterion> $criteria
     *
     * @return list<int>
     */
    private function sorted(
        array $criteria,
        bool $archived,
        SearchRequest $list,
        ?int $size = null,
        int $skip = 0,
    ): array {
        // The index of the sort is only known to be best when all combinations match.
        return $this->table->find(
            $this->where($criteria, $archived),
            Sort::from($list->sort),
            $list->direction,
            $size,
            $skip,
            null !== $size && !$archived,
        );
    }

    /**
     * @param list<int> $found of those in use
     *
     * @return list<int> a part of them in the order of the sort
     */
    private function order(array $found, SearchRequest $list, int $size, int $skip): array
    {
        if (\count($found) <= $this->few) {
            return [] === $found
                ? []
                : $this->table->find(
                    new SqlCondition('c.id IN (?)', $found),
                    Sort::from($list->sort),
                    $list->direction,
                    $size,
                    $skip,
                );
        }
        $wanted = array_flip($found);
        [$met, $read, $stretch] = [[], 0, max($this->stretch, 2 * ($skip + $size))];
        do {
            $ids = $this->sorted([], false, $list, $stretch, $read);
            array_push($met, ...array_filter($ids, static fn (int $id): bool => isset($wanted[$id])));
            $read += $stretch;
            $stretch *= 2;
        } while (\count($met) < $skip + $size && [] !== $ids);

        return \array_slice($met, $skip, $size);
    }

    /**
     * @param list<Criterion> $criteria
     *
     * @return list<int>|null all in use that are found, in no order; null when the terms do not help
     */
    private function ids(array $criteria): ?array
    {
        $found = array_filter($criteria, static fn (Criterion $criterion): bool => [] !== $criterion->alternatives);
        $others = array_values(
            array_filter($criteria, static fn (Criterion $criterion): bool => [] === $criterion->alternatives),
        );
        // Traits are frequent. Reading every row in order is faster than looking up all rows with a trait.
        if (
            [] === $found
            || ([] !== $others
                && [] === array_filter($found, static fn (Criterion $criterion): bool => !$criterion->isTrait))
        ) {
            return null;
        }
        $select = SqlCondition::joined('', ' INTERSECT ', '', array_map(
            static fn (Criterion $criterion): SqlCondition => $criterion->ids(),
            array_values($found),
        ));
        $query = [] === $others ? $select : CombinationTable::among($select, $this->where($others, false));
        /** @var list<int> $ids */
        $ids = array_values(
            (array) unpack(
                'V*',
                $this->remembered(
                    $query,
                    fn (): string => pack(
                        'V*',
                        ...self::numbers($this->connection->fetchFirstColumn($query->sql, $query->values)),
                    ),
                ),
            ),
        );

        return $ids;
    }

    /** @param list<Criterion> $criteria */
    private function scanned(array $criteria, bool $archived): int
    {
        $where = $this->where($criteria, $archived);

        return (int) $this->remembered(
            $where->within('count '),
            fn (): string => (string) $this->table->count($where),
        );
    }

    /**
     * Caches recent results until the next write to the library: coaches turn pages and come back.
     *
     * @param \Closure(): string $find
     */
    private function remembered(SqlCondition $query, \Closure $find): string
    {
        return $this->foundCache->get(
            hash('xxh128', $this->lock->revision()."\n".$query->sql."\n".serialize($query->values)),
            static fn (): string => $find(),
        );
    }

    /** @param list<Criterion> $criteria all of which rows can tell */
    private function where(array $criteria, bool $archived): SqlCondition
    {
        return SqlCondition::all([
            new SqlCondition('c.archived_at IS '.($archived ? 'NOT NULL' : 'NULL')),
            ...array_map(
                static fn (Criterion $criterion): SqlCondition => $criterion->row
                    ?? throw new \LogicException('The terms alone can tell.'),
                $criteria,
            ),
        ]);
    }

    /**
     * @param list<mixed> $column
     *
     * @return list<int>
     */
    private static function numbers(array $column): array
    {
        return array_map(
            static fn (mixed $id): int => is_numeric($id) ? (int) $id : throw new \LogicException('An id is a number.'),
            $column,
        );
    }
}
