<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Periplus\App\Numbering\StoredChains;

/**
 * Reads and writes rows of the table combination past the mapper, for lists and for much at once; a single combination is
 * written through {@see Library}. Only here, and in the entity, its columns are named one by one.
 */
final readonly class CombinationTable implements StoredChains
{
    private const SUMMARY = 'SELECT c.*, author.name AS author_name, editor.name AS editor_name FROM combination c JOIN user author ON author.id = c.author_id JOIN user editor ON editor.id = c.editor_id';

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param list<int> $ids
     *
     * @return list<CombinationSummary> in that order, without those that are not there
     */
    public function summaries(array $ids): array
    {
        $found = [];
        foreach ([] === $ids ? [] : $this->select('c.id IN (?)', [$ids], [ArrayParameterType::INTEGER]) as $summary) {
            $found[$summary->id] = $summary;
        }

        return array_values(array_filter(array_map(static fn (int $id): ?CombinationSummary => $found[$id] ?? null, $ids)));
    }

    /** @return list<CombinationSummary> those with higher ids than that, archived ones among them, in their order */
    public function after(int $id, int $most): array
    {
        return $this->select('c.id > ? ORDER BY c.id LIMIT '.$most, [$id]);
    }

    public function first(int $most): array
    {
        return array_map(
            static fn (CombinationSummary $summary): array => ['id' => $summary->id, 'name' => $summary->content->name, 'notation' => $summary->content->notation, 'stance' => $summary->content->stance],
            $this->select('c.archived_at IS NULL ORDER BY c.name, c.id LIMIT '.$most, []),
        );
    }

    /**
     * What has one of these chains, effort and all: those in use, and archived ones.
     *
     * @param list<string> $fingerprints with effort
     *
     * @return array<string, list<CombinationSummary>> by fingerprint, those in use first
     */
    public function withChains(array $fingerprints): array
    {
        $found = [];
        foreach ([] === $fingerprints ? [] : $this->select('c.fingerprint_with_effort IN (?) ORDER BY c.archived_at IS NOT NULL, c.id', [$fingerprints], [ArrayParameterType::STRING]) as $summary) {
            $found[$summary->fingerprintWithEffort][] = $summary;
        }

        return $found;
    }

    /**
     * What is in use under one of these names; of several of one name the oldest.
     *
     * @param list<string> $names
     *
     * @return array<string, CombinationSummary> by name in lower case
     */
    public function named(array $names): array
    {
        $found = [];
        foreach ([] === $names ? [] : $this->select('c.name IN (?) AND c.archived_at IS NULL ORDER BY c.id', [$names], [ArrayParameterType::STRING]) as $summary) {
            $found[mb_strtolower($summary->content->name)] ??= $summary;
        }

        return $found;
    }

    /** @return list<string> the fingerprints, effort aside, of all that are in use */
    public function fingerprints(): array
    {
        /** @var list<string> $fingerprints */
        $fingerprints = $this->connection->fetchFirstColumn('SELECT DISTINCT fingerprint FROM combination WHERE archived_at IS NULL');

        return $fingerprints;
    }

    /** What a check of it gives, written anew. */
    public function storeCheck(int $id, CombinationContent $content, CheckSummary $check): void
    {
        $columns = array_diff_key(self::columns($content, $check), array_flip(['name', 'notation', 'stance', 'rules', 'themes', 'note', 'fingerprint', 'fingerprint_with_effort', 'verdict', 'length_ms']));
        $this->connection->update('combination', $columns, ['id' => $id], self::types($columns));
    }

    /**
     * New ones, in one statement.
     *
     * @param non-empty-list<NewCombination> $combinations
     *
     * @return int the id of the first; the others follow
     */
    public function insert(array $combinations, int $author, \DateTimeImmutable $now): int
    {
        $time = $now->format('Y-m-d H:i:s');
        $rows = array_map(static fn (NewCombination $new): array => [
            ...self::columns($new->content, $new->check),
            'in_use' => $new->archived ? null : $new->check->fingerprint->withEffort,
            'author_id' => $author,
            'editor_id' => $author,
            'created_at' => $time,
            'updated_at' => $time,
            'archived_at' => $new->archived ? $time : null,
        ], $combinations);
        $this->connection->executeStatement(
            'INSERT INTO combination ('.implode(', ', array_keys($rows[0])).') VALUES '.implode(', ', array_fill(0, \count($rows), '('.implode(', ', array_fill(0, \count($rows[0]), '?')).')')),
            array_merge(...array_map(array_values(...), $rows)),
            array_merge(...array_map(static fn (array $row): array => array_values(self::types($row)), $rows)),
        );

        // The numbers of one insert of known size follow each other.
        return (int) $this->connection->lastInsertId();
    }

    /** @return array<string, int|string|null> what is kept of a content and its check, by column */
    private static function columns(CombinationContent $content, CheckSummary $check): array
    {
        return [
            'name' => $content->name,
            'notation' => $content->notation,
            'stance' => $content->stance->value,
            'rules' => $content->rules,
            'themes' => json_encode($content->themes, \JSON_THROW_ON_ERROR),
            'level' => $content->level,
            'level_chosen' => (int) $content->levelChosen,
            'note' => $content->note,
            'fingerprint' => $check->fingerprint->plain,
            'fingerprint_with_effort' => $check->fingerprint->withEffort,
            'verdict' => $check->verdict->value,
            'length_ms' => $check->lengthMs,
            'weapons' => $check->weapons,
            'sequence' => $check->sequence,
            'stem' => $check->stem,
            'strikes' => $check->strikes,
            'contacts' => $check->contacts,
        ];
    }

    /**
     * @param array<string, int|string|null> $columns
     *
     * @return array<string, ParameterType>
     */
    private static function types(array $columns): array
    {
        return array_map(static fn (string $column): ParameterType => \in_array($column, ['sequence', 'stem'], true) ? ParameterType::BINARY : ParameterType::STRING, array_combine(array_keys($columns), array_keys($columns)));
    }

    /**
     * @param list<mixed> $values
     * @param list<ArrayParameterType|ParameterType> $types
     *
     * @return list<CombinationSummary>
     */
    private function select(string $where, array $values, array $types = []): array
    {
        return array_map(CombinationSummary::of(...), $this->connection->fetchAllAssociative(self::SUMMARY.' WHERE '.$where, $values, $types));
    }
}
