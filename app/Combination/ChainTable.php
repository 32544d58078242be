<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

/** Reads the chains of combinations in use, for comparisons. */
final readonly class ChainTable
{
    private const SELECT = 'SELECT id, name, notation, stance, verdict, sequence, stem FROM combination '
        .'WHERE archived_at IS NULL AND ';

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param list<int> $ids
     *
     * @return list<ChainRow>
     */
    public function withIds(array $ids): array
    {
        return [] === $ids ? [] : $this->rows('id IN (?)', [$ids], [ArrayParameterType::INTEGER]);
    }

    /**
     * @param list<string> $sequences
     *
     * @return list<ChainRow>
     */
    public function withSequences(array $sequences): array
    {
        return [] === $sequences ? [] : $this->rows('sequence IN (?)', [$sequences], [ArrayParameterType::BINARY]);
    }

    /**
     * @param list<string> $stems
     *
     * @return list<ChainRow>
     */
    public function withStems(array $stems): array
    {
        return [] === $stems ? [] : $this->rows('stem IN (?)', [$stems], [ArrayParameterType::BINARY]);
    }

    /** @return list<ChainRow> whose stem begins with that one and is longer, in rising order of the stems */
    public function grownFrom(string $stem, int $most): array
    {
        return $this->rows(
            'stem > ? AND stem < ? ORDER BY stem, id LIMIT '.$most,
            [$stem, $stem."\xff"],
            [ParameterType::BINARY, ParameterType::BINARY],
        );
    }

    /** @return list<ChainRow> with that anywhere in their sequence, found by a scan */
    public function holding(string $sequence, int $most): array
    {
        /** @var list<int|string> $ids */
        $ids = $this->connection->fetchFirstColumn(
            'SELECT id FROM combination FORCE INDEX (by_sequence) WHERE sequence LIKE ? LIMIT '.$most,
            ['%'.$sequence.'%'],
            [ParameterType::BINARY],
        );

        return $this->withIds(array_map(intval(...), $ids));
    }

    /**
     * Returns combinations in use that flow, up to that level, without some limbs; shorter ones first.
     *
     * @param list<string> $without limbs
     *
     * @return list<array{int, string}> id and sequence
     */
    public function flowing(int $level, array $without, int $most): array
    {
        $where =
            "archived_at IS NULL AND verdict = 'flows' AND level <= ?"
            .str_repeat(' AND weapons NOT LIKE ?', \count($without));
        /** @var list<array{0: int|string, 1: string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            "SELECT id, sequence FROM combination WHERE $where ORDER BY strikes, id LIMIT $most",
            [$level, ...array_map(static fn (string $limb): string => "%,$limb,%", $without)],
        );

        return array_map(static fn (array $row): array => [(int) $row[0], $row[1]], $rows);
    }

    /**
     * @param list<string> $rules ids of house rules
     *
     * @return array<int, string> the sequences of all combinations under those rules, by id
     */
    public function sequences(array $rules): array
    {
        /** @var array<int, string> $rows */
        $rows = $this->connection->fetchAllKeyValue(
            'SELECT id, sequence FROM combination WHERE archived_at IS NULL AND rules IN (?)',
            [$rules],
            [ArrayParameterType::STRING],
        );

        return $rows;
    }

    /** @return list<array{int, string}> id and stem of all, in rising order of the stems */
    public function stems(): array
    {
        /** @var list<array{0: int|string, 1: string}> $rows */
        $rows = $this->connection->fetchAllNumeric(
            'SELECT id, stem FROM combination WHERE archived_at IS NULL ORDER BY stem, id',
        );

        return array_map(static fn (array $row): array => [(int) $row[0], $row[1]], $rows);
    }

    /**
     * @param list<mixed> $values
     * @param list<ParameterType|ArrayParameterType> $types
     *
     * @return list<ChainRow>
     */
    private function rows(string $where, array $values, array $types): array
    {
        /**
         * @var list<array{
         *     id: int|string,
         *     name: string,
         *     notation: string,
         *     stance: string,
         *     verdict: string,
         *     sequence: string,
         *     stem: string,
         * }> $rows
         */
        $rows = $this->connection->fetchAllAssociative(self::SELECT.$where, $values, $types);

        return array_map(
            static fn (array $row): ChainRow => new ChainRow(
                id: (int) $row['id'],
                name: $row['name'],
                notation: $row['notation'],
                stance: $row['stance'],
                verdict: $row['verdict'],
                sequence: $row['sequence'],
                stem: $row['stem'],
            ),
            $rows,
        );
    }
}
