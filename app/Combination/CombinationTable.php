<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Periplus\App\Numbering\NamedChain;
use Periplus\App\Numbering\StoredChains;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

/**
 * Reads and writes rows of the table combination without the ORM, for lists and bulk operations. A single combination
 * is written through {@see Library}; chains for comparisons are read through {@see ChainTable}. A condition is SQL on a
 * row named c, with its values.
 */
final readonly class CombinationTable implements StoredChains
{
    private const SUMMARY = 'SELECT c.*, author.name AS author_name, editor.name AS editor_name FROM combination c '
        .'JOIN user author ON author.id = c.author_id JOIN user editor ON editor.id = c.editor_id';

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

        return array_values(
            array_filter(array_map(static fn (int $id): ?CombinationSummary => $found[$id] ?? null, $ids)),
        );
    }

    /** @return list<CombinationSummary> those with higher ids than that, archived ones among them, in their order */
    public function after(int $id, int $most): array
    {
        return $this->select('c.id > ? ORDER BY c.id LIMIT '.$most, [$id]);
    }

    public function first(int $most): array
    {
        return array_map(
            static fn (CombinationSummary $summary): NamedChain => new NamedChain(
                $summary->id,
                $summary->content->name,
                $summary->content->notation,
                $summary->content->stance,
            ),
            $this->select('c.archived_at IS NULL ORDER BY c.name, c.id LIMIT '.$most, []),
        );
    }

    /**
     * Returns the combinations with one of these chains, including effort: those in use first, then archived ones.
     *
     * @param list<string> $fingerprints with effort
     *
     * @return array<string, list<CombinationSummary>> by fingerprint, those in use first
     */
    public function withChains(array $fingerprints): array
    {
        $found = [];
        $summaries = [] === $fingerprints
            ? []
            : $this->select(
                'c.fingerprint_with_effort IN (?) ORDER BY c.archived_at IS NOT NULL, c.id',
                [$fingerprints],
                [ArrayParameterType::STRING],
            );
        foreach ($summaries as $summary) {
            $found[$summary->fingerprintWithEffort][] = $summary;
        }

        return $found;
    }

    /**
     * Returns the combinations in use with one of these names; of several with one name the oldest.
     *
     * @param list<string> $names
     *
     * @return array<string, CombinationSummary> by name in lower case
     */
    public function named(array $names): array
    {
        $found = [];
        $allSummaries = [] === $names
            ? []
            : $this->select(
                'c.name IN (?) AND c.archived_at IS NULL ORDER BY c.id',
                [$names],
                [ArrayParameterType::STRING],
            );
        foreach ($allSummaries as $summary) {
            $found[mb_strtolower($summary->content->name)] ??= $summary;
        }

        return $found;
    }

    /**
     * @param bool $alongIndex whether the index of the sort is read, row by row, until there are enough
     *
     * @return list<int> ids in the order of the sort
     */
    public function find(
        SqlCondition $where,
        Sort $sort,
        string $direction,
        ?int $size = null,
        int $skip = 0,
        bool $alongIndex = false,
    ): array {
        $way = 'up' === $direction ? 'ASC' : 'DESC';
        $ids = $this->connection->fetchFirstColumn(
            'SELECT c.id FROM combination c'
                .($alongIndex ? ' FORCE INDEX ('.$sort->index().')' : '')
                .' WHERE '
                .$where->sql
                ." ORDER BY {$sort->column()} $way, c.id $way"
                .(null === $size ? '' : " LIMIT $size OFFSET $skip"),
            $where->values,
            array_map(
                static fn (mixed $value): ParameterType|ArrayParameterType => \is_array($value)
                    ? ArrayParameterType::INTEGER
                    : ParameterType::STRING,
                $where->values,
            ),
        );

        return array_map(
            static fn (mixed $id): int => is_numeric($id) ? (int) $id : throw new \LogicException('An id is a number.'),
            $ids,
        );
    }

    /**
     * Returns combinations in use whose name or chain equals the text or starts with it: exact name, start of the name,
     * exact chain, start of the chain.
     *
     * @param string|null $sequence of what was typed, where it can be read as a chain
     *
     * @return list<int>
     */
    public function closest(string $typed, ?string $sequence, int $size): array
    {
        $begins = addcslashes($typed, '%_\\').'%';
        $rank =
            'CASE WHEN c.name = :typed THEN 0 WHEN c.name LIKE :begins THEN 1 WHEN c.sequence = :sequence THEN 2 '
                .'ELSE 3 END';
        $ids = $this->connection->fetchFirstColumn(
            'SELECT c.id FROM combination c WHERE c.archived_at IS NULL'
                .' AND (c.name LIKE :begins OR (c.sequence >= :sequence AND c.sequence < :beyond AND :sequence <> '
                .'\'\'))'
                .' ORDER BY '
                .$rank
                .', c.length_ms, c.name, c.id LIMIT '
                .$size,
            [
                'typed' => $typed,
                'begins' => $begins,
                'sequence' => (string) $sequence,
                'beyond' => $sequence."\xff\xff",
            ],
            [
                'typed' => ParameterType::STRING,
                'begins' => ParameterType::STRING,
                'sequence' => ParameterType::BINARY,
                'beyond' => ParameterType::BINARY,
            ],
        );

        return array_map(
            static fn (mixed $id): int => is_numeric($id) ? (int) $id : throw new \LogicException('An id is a number.'),
            $ids,
        );
    }

    public function count(SqlCondition $where = new SqlCondition('1 = 1')): int
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM combination c WHERE '.$where->sql, $where->values);

        return (int) $count;
    }

    /** Returns a select of those ids whose rows meet the condition. */
    public static function among(SqlCondition $ids, SqlCondition $where): SqlCondition
    {
        return SqlCondition::joined('', '', '', [
            $ids->within('SELECT i.id FROM (', ') i JOIN combination c ON c.id = i.id WHERE '),
            $where,
        ]);
    }

    /**
     * @param list<int> $ids
     *
     * @return list<CombinationSummary> those in use, by name
     */
    public function inUse(array $ids): array
    {
        return [] === $ids
            ? []
            : $this->select(
                'c.id IN (?) AND c.archived_at IS NULL ORDER BY c.name, c.id',
                [$ids],
                [ArrayParameterType::INTEGER],
            );
    }

    /**
     * Returns the chains under a set of rules with greater ids, including archived ones, ordered by id.
     *
     * @return list<StoredChain>
     */
    public function underRules(
        string $rules,
        int $after,
        int $most,
        SqlCondition $where = new SqlCondition('1 = 1'),
    ): array {
        /**
         * @var list<array{
         *     id: int|string,
         *     version: int|string,
         *     notation: string,
         *     stance: string,
         *     verdict: string,
         * }> $rows
         */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT c.id, c.version, c.notation, c.stance, c.verdict FROM combination c '
                ."WHERE c.rules = ? AND c.id > ? AND {$where->sql} ORDER BY c.id LIMIT $most",
            [$rules, $after, ...$where->values],
        );

        return array_map(
            static fn (array $row): StoredChain => new StoredChain(
                (int) $row['id'],
                (int) $row['version'],
                $row['notation'],
                Stance::from($row['stance']),
                Verdict::from($row['verdict']),
            ),
            $rows,
        );
    }

    /**
     * Stores the results of a recheck. A level that no coach chose follows the check; undecided old ones stay.
     *
     * @param SqlCondition $results a select of combination_id, verdict, length_ms and level
     *
     * @return array<int, array{
     *     verdict: string,
     *     level: int,
     * }> what those in use are now that have another verdict or level, by id
     */
    public function takeResults(SqlCondition $results, string $rules): array
    {
        $level = 'IF(c.level_chosen = 0, r.level, c.level)';
        $joined = "combination c JOIN ({$results->sql}) r ON r.combination_id = c.id";
        $values = [...$results->values, $rules];
        /** @var list<array{id: int|string, verdict: string, level: int|string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            "SELECT c.id, r.verdict, $level AS level FROM $joined "
                ."WHERE c.rules = ? AND c.archived_at IS NULL AND (c.verdict <> r.verdict OR c.level <> $level)",
            $values,
        );
        $this->connection->executeStatement(
            "UPDATE $joined SET c.verdict = r.verdict, c.length_ms = r.length_ms, c.level = $level "
                ."WHERE c.rules = ? AND (c.verdict <> r.verdict OR c.length_ms <> r.length_ms OR c.level <> $level)",
            $values,
        );
        $changed = [];
        foreach ($rows as $row) {
            $changed[(int) $row['id']] = ['verdict' => $row['verdict'], 'level' => (int) $row['level']];
        }

        return $changed;
    }

    /** @return list<string> the fingerprints, effort aside, of all that are in use */
    public function fingerprints(): array
    {
        /** @var list<string> $fingerprints */
        $fingerprints = $this->connection->fetchFirstColumn(
            'SELECT DISTINCT fingerprint FROM combination WHERE archived_at IS NULL',
        );

        return $fingerprints;
    }

    /**
     * Returns a random sample, by seed, of combinations in use that flow, up to that level; those with the limb or
     * theme first.
     *
     * @param list<string> $without limbs that none of them uses
     *
     * @return list<CombinationSummary>
     */
    public function sample(int $level, array $without, ?string $with, ?string $theme, int $seed, int $most): array
    {
        $where = "archived_at IS NULL AND verdict = 'flows' AND level <= ?";
        $values = [$level];
        foreach ($without as $limb) {
            $where .= ' AND weapons NOT LIKE ?';
            $values[] = "%,$limb,%";
        }
        $chance = "ORDER BY CRC32(CONCAT(id, '.', ?)) LIMIT $most";
        $ids = [];
        if (null !== $with) {
            $ids = $this->connection->fetchFirstColumn(
                "SELECT id FROM combination WHERE $where AND weapons LIKE ? $chance",
                [...$values, "%,$with,%", $seed],
            );
        }
        if (null !== $theme) {
            $ids = $this->connection->fetchFirstColumn(
                "SELECT id FROM combination WHERE $where AND JSON_CONTAINS(themes, JSON_QUOTE(?)) $chance",
                [...$values, $theme, $seed],
            );
        }
        $ids = [
            ...$ids,
            ...$this->connection->fetchFirstColumn("SELECT id FROM combination WHERE $where $chance", [
                ...$values,
                $seed,
            ]),
        ];

        return $this->summaries(
            array_values(array_unique(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $ids))),
        );
    }

    /** Stores the result of a check. */
    public function storeCheck(int $id, CombinationContent $content, CheckSummary $check): void
    {
        $columns = array_diff_key(
            self::columns($content, $check),
            array_flip([
                'name',
                'notation',
                'stance',
                'rules',
                'themes',
                'note',
                'fingerprint',
                'fingerprint_with_effort',
                'verdict',
                'length_ms',
            ]),
        );
        $this->connection->update('combination', $columns, ['id' => $id], self::types($columns));
    }

    /**
     * Inserts new combinations in one statement.
     *
     * @param non-empty-list<NewCombination> $combinations
     *
     * @return int the id of the first; the others follow
     */
    public function insert(array $combinations, int $author, \DateTimeImmutable $now): int
    {
        $time = $now->format('Y-m-d H:i:s');
        $rows = array_map(
            static fn (NewCombination $new): array => [
                ...self::columns($new->content, $new->check),
                'in_use' => $new->archived ? null : $new->check->fingerprint->withEffort,
                'author_id' => $author,
                'editor_id' => $author,
                'created_at' => $time,
                'updated_at' => $time,
                'archived_at' => $new->archived ? $time : null,
            ],
            $combinations,
        );
        $this->connection->executeStatement(
            'INSERT INTO combination ('
                .implode(', ', array_keys($rows[0]))
                .') VALUES '
                .implode(
                    ', ',
                    array_fill(0, \count($rows), '('.implode(', ', array_fill(0, \count($rows[0]), '?')).')'),
                ),
            array_merge(...array_map(array_values(...), $rows)),
            array_merge(...array_map(static fn (array $row): array => array_values(self::types($row)), $rows)),
        );

        // The ids of one insert of known size are consecutive.
        return (int) $this->connection->lastInsertId();
    }

    /**
     * @param array<int, string|null> $days on which each was last drilled, such as 2026-11-26, by id; no version of it
     *                                      changes by that
     */
    public function storeDrilled(array $days): void
    {
        foreach ($days as $id => $day) {
            $this->connection->executeStatement(
                'UPDATE combination SET drilled_at = ? WHERE id = ? AND NOT (drilled_at <=> ?)',
                [$day, $id, $day],
            );
        }
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
        return array_map(
            static fn (string $column): ParameterType => \in_array($column, ['sequence', 'stem'], true)
                ? ParameterType::BINARY
                : ParameterType::STRING,
            array_combine(array_keys($columns), array_keys($columns)),
        );
    }

    /**
     * @param list<mixed> $values
     * @param list<ArrayParameterType|ParameterType> $types
     *
     * @return list<CombinationSummary>
     */
    private function select(string $where, array $values, array $types = []): array
    {
        return array_map(
            CombinationSummary::of(...),
            $this->connection->fetchAllAssociative(self::SUMMARY.' WHERE '.$where, $values, $types),
        );
    }
}
