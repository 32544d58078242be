<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationTable;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;

/** Checks combinations for a preview and stores the results in bulk. */
final readonly class PreviewResults
{
    public function __construct(
        private Connection $connection,
        private CombinationTable $table,
        private Check $check,
        private Reader $reader,
    ) {
    }

    /**
     * Checks the next combinations.
     *
     * @return list<int> their ids
     */
    public function next(RulePreview $preview, int $most): array
    {
        return $this->store(
            $preview,
            $this->table->underRules($preview->rules()->id, $preview->lastCombination(), $most),
        );
    }

    /** Checks combinations that were written since their batch; the rules are locked, so no more can be written. */
    public function catchUp(RulePreview $preview, int $batch): void
    {
        do {
            $ids = $this->store(
                $preview,
                $this->table->underRules($preview->rules()->id, 0, $batch, [
                    'NOT EXISTS (SELECT 1 FROM rule_preview_result r WHERE r.rule_preview_id = ? '
                        .'AND r.combination_id = c.id AND r.combination_version = c.version)',
                    [$preview->id()],
                ]),
            );
        } while ([] !== $ids);
    }

    /**
     * Copies the results into the library.
     *
     * @return array<int, array{verdict: string, level: int}> what is found by another verdict or level now, by id
     */
    public function apply(RulePreview $preview): array
    {
        return $this->table->takeResults(
            [
                'SELECT combination_id, verdict, length_ms, level FROM rule_preview_result WHERE rule_preview_id = ?',
                [$preview->id()],
            ],
            $preview->rules()->id,
        );
    }

    /**
     * @return list<array{
     *     id: int,
     *     name: string,
     *     notation: string,
     *     stance: string,
     *     from: string,
     *     to: string,
     * }> those in use whose verdict changes, by name
     */
    public function changed(RulePreview $preview): array
    {
        /** @var array<int, array{from: string, to: string}> $results */
        $results = $this->connection->fetchAllAssociativeIndexed(
            'SELECT combination_id, verdict_before AS `from`, verdict AS `to` FROM rule_preview_result '
                .'WHERE rule_preview_id = ? AND verdict <> verdict_before',
            [$preview->id()],
        );

        return array_map(
            static fn (array $row): array => [...$row, ...$results[$row['id']]],
            $this->table->inUse(array_keys($results)),
        );
    }

    /**
     * @param list<array{id: int, version: int, notation: string, stance: string, verdict: string}> $rows
     *
     * @return list<int>
     */
    private function store(RulePreview $preview, array $rows): array
    {
        if ([] === $rows) {
            return [];
        }
        $options = new CheckOptions($preview->rules());
        $values = [];
        foreach ($rows as $row) {
            $chain =
                $this->reader->readStored($row['notation'], Stance::from($row['stance']))
                ?? throw new \LogicException('A stored chain cannot be read: '.$row['notation']);
            $result = $this->check->run($chain, $options);
            array_push(
                $values,
                $preview->id(),
                $row['id'],
                $row['version'],
                $row['verdict'],
                $result->verdict->value,
                (int) round($result->timing->length()),
                Scale::builtIn()->difficulty($result)->level,
            );
        }
        $this->connection->executeStatement(
            'REPLACE INTO rule_preview_result (rule_preview_id, combination_id, combination_version, verdict_before, '
                .'verdict, length_ms, level) VALUES '
                .implode(', ', array_fill(0, \count($rows), '(?, ?, ?, ?, ?, ?, ?)')),
            $values,
        );

        return array_column($rows, 'id');
    }
}
