<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationIndex;

/** Maintains the index of terms for combinations in use. */
final readonly class SearchIndex implements CombinationIndex
{
    private const ROWS_PER_INSERT = 2000;

    public function __construct(private Connection $connection, private IndexTerms $terms)
    {
    }

    public function remove(int $first, int $last): void
    {
        $this->connection->executeStatement('DELETE FROM index_term WHERE combination_id BETWEEN ? AND ?', [
            $first,
            $last,
        ]);
    }

    /**
     * Updates the traits in the index.
     *
     * @param array<int, non-empty-array<string, int|string>> $traits the new values by name, by id; all have the same
     *                                                                names
     */
    public function change(array $traits): void
    {
        foreach (array_chunk($traits, self::ROWS_PER_INSERT, preserve_keys: true) as $chunk) {
            $names = array_keys($chunk[array_key_first($chunk)]);
            $this->connection->executeStatement(
                'DELETE FROM index_term WHERE combination_id IN (?) AND ('
                    .implode(' OR ', array_fill(0, \count($names), 'term LIKE ?'))
                    .')',
                [
                    array_keys($chunk),
                    ...array_map(static fn (string $name): string => IndexTerms::trait($name, '%'), $names),
                ],
                [ArrayParameterType::INTEGER],
            );
            $rows = [];
            foreach ($chunk as $id => $values) {
                foreach ($values as $name => $value) {
                    array_push($rows, IndexTerms::trait($name, $value), $id);
                }
            }
            $this->insert($rows);
        }
    }

    public function add(array $combinations): void
    {
        $rows = [];
        foreach ($combinations as $combination) {
            $found = $this->terms->terms(
                $combination->content,
                $combination->check,
                $combination->author,
            );
            foreach ($found as $term) {
                array_push($rows, $term, $combination->id);
            }
        }
        $this->insert($rows);
    }

    /** @return array<array-key, int> how many combinations in use have each theme, by theme */
    public function themes(): array
    {
        $themes = [];
        /** @var list<array{term: string, times: int|string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT term, COUNT(*) AS times FROM index_term WHERE term LIKE ? GROUP BY term ORDER BY term',
            [IndexTerms::THEME.'%'],
        );
        foreach ($rows as $row) {
            $themes[substr($row['term'], \strlen(IndexTerms::THEME))] = (int) $row['times'];
        }

        return $themes;
    }

    /** @return list<int> the ids of what is in use and has that theme */
    public function having(string $theme): array
    {
        return array_map(
            static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0,
            $this->connection->fetchFirstColumn(
                'SELECT combination_id FROM index_term WHERE term = ? ORDER BY combination_id',
                [IndexTerms::THEME.$theme],
            ),
        );
    }

    /** @param list<int|string> $rows a term and the id of a combination, in turn */
    private function insert(array $rows): void
    {
        foreach (array_chunk($rows, 2 * self::ROWS_PER_INSERT) as $chunk) {
            $this->connection->executeStatement(
                'INSERT INTO index_term (term, combination_id) VALUES '
                    .implode(', ', array_fill(0, intdiv(\count($chunk), 2), '(?, ?)')),
                $chunk,
            );
        }
    }
}
