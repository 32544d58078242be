<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\Person;
use Psr\Clock\ClockInterface;

/** Inserts many new combinations in one statement, with their first versions and index entries. Needs a transaction. */
final readonly class BulkInserter
{
    private const ROWS_PER_INSERT = 250;

    public function __construct(
        private Connection $connection,
        private CombinationTable $table,
        private CombinationIndices $indices,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param list<NewCombination> $combinations
     *
     * @return list<int> their ids, in the same order
     */
    public function create(array $combinations, Person $author): array
    {
        $ids = [];
        $now = $this->clock->now();
        foreach (array_chunk($combinations, self::ROWS_PER_INSERT) as $chunk) {
            $id = $this->table->insert($chunk, (int) $author->id, $now);
            [$versions, $inUse] = [[], []];
            foreach ($chunk as $new) {
                array_push(
                    $versions,
                    $id,
                    1,
                    json_encode($new->content, \JSON_THROW_ON_ERROR),
                    VersionChange::Created->value,
                    $author->id,
                    $now->format('Y-m-d H:i:s'),
                );
                if (!$new->archived) {
                    $inUse[] = new IndexedCombination($id, $new->content, $new->check, $author);
                }
                $ids[] = $id++;
            }
            $this->connection->executeStatement(
                'INSERT INTO combination_version (combination_id, version, content, change_kind, editor_id, '
                    .'created_at) VALUES '
                    .implode(', ', array_fill(0, \count($chunk), '(?, ?, ?, ?, ?, ?)')),
                $versions,
            );
            $this->indices->add($inUse);
        }

        return $ids;
    }
}
