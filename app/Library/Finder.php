<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Periplus\Core\Library\Search\Clause;
use Periplus\Core\Library\Search\Field;

/**
 * Finds combinations in the database. Where a clause can be answered from the index of marks, the combinations are drawn
 * from there and the other clauses asked of those alone; else one index over the rows is scanned.
 */
final readonly class Finder
{
    /** Up to so many hits are sorted by themselves; where there are more, the index of the sort is read until the page is full. */
    private const FEW = 4000;
    /** What is drawn from the marks is gathered once and looked up, not joined the other way round. */
    private const PLAN = "SET STATEMENT optimizer_switch = 'semijoin=off' FOR ";
    private const MEMORY = 'periplus.found.';
    /** s */
    private const KEPT = 600;
    private const INDICES = ['name' => 'by_name', 'level' => 'by_level', 'length' => 'by_length', 'updated' => 'by_updated', 'drilled' => 'by_name'];

    public function __construct(private Connection $connection, private Wishes $wishes, private Turn $turn)
    {
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return array{list<int>, int} the ids of the page in its order, and how many there are in all
     */
    public function page(array $clauses, ListRequest $list): array
    {
        $page = ' ORDER BY '.$this->order($list).' LIMIT '.$list->size.' OFFSET '.(($list->page - 1) * $list->size);
        $drawn = $this->drawn($clauses, $list);
        if (null !== $drawn && \count($drawn) <= self::FEW) {
            return [[] === $drawn ? [] : self::numbers($this->connection->fetchFirstColumn('SELECT c.id FROM combination c WHERE c.id IN (?)'.$page, [$drawn], [ArrayParameterType::INTEGER])), \count($drawn)];
        }
        [$where, $values] = $this->rows($clauses, $list);
        $ids = $this->connection->fetchFirstColumn(self::PLAN.'SELECT c.id FROM combination c FORCE INDEX ('.self::INDICES[$list->sort].') WHERE '.$where.$page, $values);

        return [self::numbers($ids), null === $drawn ? $this->scanned($clauses, $list) : \count($drawn)];
    }

    /** @param list<Clause> $clauses */
    public function count(array $clauses, ListRequest $list): int
    {
        $drawn = $this->drawn($clauses, $list);

        return null === $drawn ? $this->scanned($clauses, $list) : \count($drawn);
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return list<int> the ids of everything found, in the order of the sort
     */
    public function all(array $clauses, ListRequest $list): array
    {
        [$where, $values] = $this->rows($clauses, $list);

        return self::numbers($this->connection->fetchFirstColumn(self::PLAN.'SELECT c.id FROM combination c WHERE '.$where.' ORDER BY '.$this->order($list), $values));
    }

    /**
     * @param list<int> $ids
     *
     * @return list<Row> in that order
     */
    public function read(array $ids): array
    {
        $found = [];
        foreach ([] === $ids ? [] : $this->connection->fetchAllAssociative(Row::SELECT.' WHERE c.id IN (?)', [$ids], [ArrayParameterType::INTEGER]) as $row) {
            $row = Row::of($row);
            $found[$row->id] = $row;
        }

        return array_values(array_filter(array_map(static fn (int $id): ?Row => $found[$id] ?? null, $ids)));
    }

    private function order(ListRequest $list): string
    {
        $direction = 'up' === $list->direction ? 'ASC' : 'DESC';

        return ListRequest::SORTS[$list->sort]." $direction, c.id $direction";
    }

    /**
     * @param list<Clause> $clauses
     *
     * @return list<int>|null all that are found, in no order; null when the marks do not help
     */
    private function drawn(array $clauses, ListRequest $list): ?array
    {
        $archived = self::isArchived($clauses, $list);
        [$drawn, $rows] = [[], []];
        foreach ($archived ? [] : $this->wishes->of($clauses, $list, false) as $wish) {
            if ([] !== $wish->alternatives) {
                $drawn[] = $wish->drawn();
            } elseif (null !== $wish->row) {
                $rows[] = $wish->row;
            }
        }
        if ([] === $drawn) {
            return null;
        }
        $from = '('.implode(' INTERSECT ', array_column($drawn, 0)).') d';
        $query = [] === $rows ? "SELECT d.id FROM $from" : "SELECT d.id FROM $from JOIN combination c ON c.id = d.id WHERE (".implode(') AND (', array_column($rows, 0)).')';
        $values = array_merge(...array_column([...$drawn, ...$rows], 1));
        /** @var list<int> $ids */
        $ids = array_values((array) unpack('V*', $this->remembered($query, $values, fn (): string => pack('V*', ...self::numbers($this->connection->fetchFirstColumn($query, $values))))));

        return $ids;
    }

    /** @param list<Clause> $clauses */
    private function scanned(array $clauses, ListRequest $list): int
    {
        [$where, $values] = $this->rows($clauses, $list);
        $query = 'SELECT COUNT(*) FROM combination c WHERE '.$where;

        return (int) $this->remembered($query, $values, function () use ($query, $values): string {
            /** @var int|string $count */
            $count = $this->connection->fetchOne($query, $values);

            return (string) $count;
        });
    }

    /**
     * What was found lately, as long as nothing was written to the library since: a coach turns pages and comes back.
     *
     * @param list<mixed> $values
     * @param \Closure(): string $find
     */
    private function remembered(string $query, array $values, \Closure $find): string
    {
        if (!apcu_enabled()) {
            return $find();
        }
        $key = self::MEMORY.hash('xxh128', $this->turn->revision()."\n".$query."\n".serialize($values));
        $known = apcu_fetch($key);
        if (\is_string($known)) {
            return $known;
        }
        $found = $find();
        apcu_store($key, $found, self::KEPT);

        return $found;
    }

    /**
     * Conditions on the row alone, as far as it can tell.
     *
     * @param list<Clause> $clauses
     *
     * @return array{string, list<mixed>}
     */
    private function rows(array $clauses, ListRequest $list): array
    {
        $archived = self::isArchived($clauses, $list);
        $conditions = [['c.archived_at IS '.($archived ? 'NOT NULL' : 'NULL'), []]];
        foreach ($this->wishes->of($clauses, $list, $archived) as $wish) {
            if (null !== $wish->row) {
                $conditions[] = $wish->row;
            } else {
                [$drawn, $values] = $wish->drawn();
                $conditions[] = ["c.id IN ($drawn)", $values];
            }
        }

        return ['('.implode(') AND (', array_column($conditions, 0)).')', array_merge(...array_column($conditions, 1))];
    }

    /** @param list<Clause> $clauses */
    private static function isArchived(array $clauses, ListRequest $list): bool
    {
        return $list->archived || [] !== array_filter($clauses, static fn (Clause $clause): bool => $clause instanceof Field && 'status' === $clause->name && 'archived' === $clause->value);
    }

    /**
     * @param list<mixed> $column
     *
     * @return list<int>
     */
    private static function numbers(array $column): array
    {
        return array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : throw new \LogicException('An id is a number.'), $column);
    }
}
