<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationIndex;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\DeletionNeighbourhood;

/** Maintains the deletion neighbourhoods by which similar combinations are found. */
final readonly class NeighbourIndex implements CombinationIndex
{
    private const ROWS_PER_INSERT = 2000;

    public function __construct(private Connection $connection)
    {
    }

    public function remove(int $first, int $last): void
    {
        $this->connection->executeStatement('DELETE FROM deletion_neighbour WHERE combination_id BETWEEN ? AND ?', [
            $first,
            $last,
        ]);
    }

    /**
     * @param list<string> $hashes
     *
     * @return array<string, list<int>> the ids of all that share one of them, by hash
     */
    public function near(array $hashes): array
    {
        $ids = [];
        $rows = $this->connection->fetchAllNumeric(
            'SELECT hash, combination_id FROM deletion_neighbour WHERE hash IN (?)',
            [$hashes],
            [ArrayParameterType::BINARY],
        );
        foreach ($rows as [$hash, $id]) {
            $ids[\is_string($hash) ? $hash : ''][] = is_numeric($id) ? (int) $id : 0;
        }

        return $ids;
    }

    /**
     * Returns pairs that share a hash, those with most shared hashes first.
     *
     * @return list<array{int, int}> the older one first
     */
    public function pairs(int $most): array
    {
        /** @var list<array{int|string, int|string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT a.combination_id, b.combination_id FROM deletion_neighbour a JOIN deletion_neighbour b '
                .'ON b.hash = a.hash AND b.combination_id > a.combination_id GROUP BY 1, 2 '
                .'ORDER BY COUNT(*) DESC, 1, 2 LIMIT '
                .$most,
        );

        return array_map(static fn (array $row): array => [(int) $row[0], (int) $row[1]], $rows);
    }

    public function add(array $combinations): void
    {
        $rows = [];
        foreach ($combinations as $combination) {
            foreach (DeletionNeighbourhood::hashes(Sequence::read($combination->check->sequence)) as $hash) {
                array_push($rows, $hash, $combination->id);
            }
        }
        foreach (array_chunk($rows, 2 * self::ROWS_PER_INSERT) as $chunk) {
            $this->connection->executeStatement(
                'INSERT INTO deletion_neighbour (hash, combination_id) VALUES '
                    .implode(', ', array_fill(0, intdiv(\count($chunk), 2), '(?, ?)')),
                $chunk,
            );
        }
    }
}
