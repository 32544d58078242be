<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;

use function Periplus\Core\Language\t;

/** Stores the entries of an import in bulk. */
final readonly class ImportLines
{
    /** Number of rows in one insert. */
    private const ROWS_PER_INSERT = 500;

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param list<ImportEntry> $entries numbered by their order: two combinations of a JSON file may stand on one line
     */
    public function store(int $import, array $entries): void
    {
        foreach (array_chunk($entries, self::ROWS_PER_INSERT, true) as $chunk) {
            $values = [];
            foreach ($chunk as $index => $entry) {
                array_push(
                    $values,
                    $import,
                    $index + 1,
                    LineKind::Waiting->value,
                    t('Line {line}: {source}', line: $entry->line, source: $entry->source),
                    json_encode($entry->stored(), \JSON_THROW_ON_ERROR),
                    $entry->problem,
                );
            }
            $this->connection->executeStatement(
                'INSERT INTO import_line (import_id, line, kind, source, content, message) VALUES '.implode(
                    ', ',
                    array_fill(0, \count($chunk), '(?, ?, ?, ?, ?, ?)'),
                ),
                $values,
            );
        }
    }

    /**
     * Stores the results for existing lines, in bulk.
     *
     * @param array<int, Judgement> $judgements by line
     */
    public function judge(int $import, array $judgements): void
    {
        $values = [];
        foreach ($judgements as $line => $one) {
            $content = null === $one->content ? null : json_encode($one->stored(), \JSON_THROW_ON_ERROR);
            $found = [$content, $one->fingerprint, $one->message, $one->combination, $one->version];
            array_push($values, $import, $line, $one->kind->value, '', ...$found);
        }
        if ([] === $values) {
            return;
        }
        $this->connection->executeStatement(
            'INSERT INTO import_line (import_id, line, kind, source, content, fingerprint, message, combination_id,'
            .' combination_version) VALUES '
            .implode(', ', array_fill(0, \count($judgements), '(?, ?, ?, ?, ?, ?, ?, ?, ?)'))
            .' ON DUPLICATE KEY UPDATE kind = VALUES(kind), content = COALESCE(VALUES(content), content),'
            .' fingerprint = VALUES(fingerprint), message = VALUES(message), combination_id = VALUES(combination_id),'
            .' combination_version = VALUES(combination_version)',
            $values,
        );
    }

    /** @param array<int, int> $combinations what new entries have become, by line */
    public function became(int $import, array $combinations): void
    {
        foreach (array_chunk($combinations, self::ROWS_PER_INSERT, true) as $chunk) {
            $cases = implode(' ', array_fill(0, \count($chunk), 'WHEN ? THEN ?'));
            $values = array_merge(
                ...array_map(
                    static fn (int $line, int $made): array => [$line, $made],
                    array_keys($chunk),
                    array_values($chunk),
                ),
            );
            $this->connection->executeStatement(
                'UPDATE import_line SET combination_id = CASE line '
                    .$cases
                    .' END WHERE import_id = ? AND line IN ('
                    .implode(', ', array_keys($chunk))
                    .')',
                [...$values, $import],
            );
        }
    }

    /**
     * @param list<string> $fingerprints
     *
     * @return array<string, int> by fingerprint: the first entry of the file that brings that chain
     */
    public function withChains(int $import, array $fingerprints): array
    {
        return $this->first('fingerprint', $import, $fingerprints);
    }

    /**
     * @param list<string> $names in lower case
     *
     * @return array<string, int> by name: the first entry of the file that has it
     */
    public function named(int $import, array $names): array
    {
        return $this->first("LOWER(JSON_VALUE(content, '$.content.name'))", $import, $names);
    }

    /**
     * @param list<string> $values
     *
     * @return array<string, int>
     */
    private function first(string $of, int $import, array $values): array
    {
        /** @var array<string, int|string> $lines */
        $lines =
            [] === $values
                ? []
                : $this->connection->fetchAllKeyValue(
                    "SELECT $of, MIN(line) FROM import_line "
                ."WHERE import_id = ? AND kind IN ('new', 'changed') AND $of IN (?) GROUP BY $of",
                    [$import, $values],
                    [ParameterType::INTEGER, ArrayParameterType::STRING],
                );

        return array_map(intval(...), $lines);
    }
}
