<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Periplus\App\Search\SearchIndex;
use Psr\Clock\ClockInterface;

/** Stores many new combinations at a time, each with its first version, terms and hashes; inside a transaction that holds the lock. */
final readonly class BulkInserter
{
    private const ROWS = 250;

    public function __construct(private Connection $connection, private SearchIndex $index, private ClockInterface $clock)
    {
    }

    /** @param list<array{CombinationContent, CheckSummary, bool}> $combinations content, check, and whether it comes archived */
    public function create(array $combinations, int $author, string $authorName): void
    {
        $now = $this->clock->now()->format('Y-m-d H:i:s');
        $combinations = array_map(static fn (array $one): array => [$one[0]->settled($one[1]), $one[1], $one[2]], $combinations);
        foreach (array_chunk($combinations, self::ROWS) as $chunk) {
            [$values, $types] = [[], []];
            foreach ($chunk as [$content, $checked, $archived]) {
                array_push(
                    $values,
                    $content->name, $content->notation, $content->stance->value, $content->rules, json_encode($content->themes, \JSON_THROW_ON_ERROR), $content->level, (int) $content->levelChosen, $content->note,
                    $checked->fingerprint->plain, $checked->fingerprint->withEffort, $archived ? null : $checked->fingerprint->withEffort,
                    $checked->verdict->value, $checked->lengthMs, $checked->weapons, $checked->sequence, $checked->stem, $checked->strikes, $checked->contacts,
                    $author, $author, $now, $now, $archived ? $now : null,
                );
                array_push($types, ...array_fill(0, 14, ParameterType::STRING), ...[ParameterType::BINARY, ParameterType::BINARY], ...array_fill(0, 7, ParameterType::STRING));
            }
            $this->connection->executeStatement(
                'INSERT INTO combination (name, notation, stance, rules, themes, level, level_chosen, note, fingerprint, fingerprint_with_effort, in_use, verdict, length_ms, weapons, sequence, stem, strikes, contacts, author_id, editor_id, created_at, updated_at, archived_at) VALUES '
                .implode(', ', array_fill(0, \count($chunk), '(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')),
                $values,
                $types,
            );
            // The numbers of one insert of known size follow each other.
            $id = (int) $this->connection->lastInsertId();
            [$versions, $filled] = [[], []];
            foreach ($chunk as [$content, $checked, $archived]) {
                array_push($versions, $id, 1, json_encode($content->toArray(), \JSON_THROW_ON_ERROR), VersionChange::Created->value, $author, $now);
                if (!$archived) {
                    $filled[] = [$id, $content, $checked, $author, $authorName];
                }
                ++$id;
            }
            $this->connection->executeStatement(
                'INSERT INTO combination_version (combination_id, version, content, change_kind, editor_id, created_at) VALUES '.implode(', ', array_fill(0, \count($chunk), '(?, ?, ?, ?, ?, ?)')),
                $versions,
            );
            $this->index->fill($filled);
        }
    }
}
