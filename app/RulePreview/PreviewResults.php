<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Combination\StoredChain;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Reader;

/** Checks combinations for a preview and stores the results in bulk. */
final readonly class PreviewResults
{
    public function __construct(
        private Connection $connection,
        private CombinationTable $table,
        private Check $check,
        private Reader $reader,
        private GymHouseRules $rules,
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
                $this->table->underRules($preview->rules()->id, 0, $batch, new SqlCondition(
                    'NOT EXISTS (SELECT 1 FROM rule_preview_result r WHERE r.rule_preview_id = ? '
                        .'AND r.combination_id = c.id AND r.combination_version = c.version)',
                    $preview->id(),
                )),
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
            new SqlCondition(
                'SELECT combination_id, verdict, length_ms, level FROM rule_preview_result WHERE rule_preview_id = ?',
                $preview->id(),
            ),
            $preview->rules()->id,
        );
    }

    /** Counts the findings that come and go with the change, as far as the library was checked. */
    public function findings(RulePreview $preview): FindingChange
    {
        /** @var array{0: int|string|null, 1: int|string|null, 2: int|string|null} $sums */
        $sums = $this->connection->fetchNumeric(
            'SELECT SUM(findings_added), SUM(findings_removed), SUM(findings_added + findings_removed > 0) '
                .'FROM rule_preview_result WHERE rule_preview_id = ?',
            [$preview->id()],
        );

        return new FindingChange((int) $sums[0], (int) $sums[1], (int) $sums[2]);
    }

    /** Counts the combinations whose new verdict after an update has not been accepted yet. */
    public function waiting(): int
    {
        return $this->table->count(new SqlCondition(
            'c.archived_at IS NULL AND c.id IN (SELECT r.combination_id FROM rule_preview_result r '
                .'JOIN rule_preview p ON p.id = r.rule_preview_id WHERE p.state = ?)',
            RulePreviewState::Updated->value,
        ));
    }

    /** Removes the results in which no verdict changed. */
    public function keepChanged(RulePreview $preview): void
    {
        $this->connection->executeStatement(
            'DELETE FROM rule_preview_result WHERE rule_preview_id = ? AND verdict = verdict_before',
            [$preview->id()],
        );
    }

    /** @return list<ChangedVerdict> by name */
    public function changed(RulePreview $preview): array
    {
        /** @var array<int, array{from: string, to: string}> $results */
        $results = $this->connection->fetchAllAssociativeIndexed(
            'SELECT combination_id, verdict_before AS `from`, verdict AS `to` FROM rule_preview_result '
                .'WHERE rule_preview_id = ? AND verdict <> verdict_before',
            [$preview->id()],
        );

        return array_map(
            static fn (CombinationSummary $summary): ChangedVerdict => new ChangedVerdict(
                $summary->id,
                $summary->content->name,
                $summary->content->notation,
                $summary->content->stance,
                Verdict::from($results[$summary->id]['from']),
                Verdict::from($results[$summary->id]['to']),
            ),
            $this->table->inUse(array_keys($results)),
        );
    }

    /**
     * @param list<StoredChain> $rows
     *
     * @return list<int>
     */
    private function store(RulePreview $preview, array $rows): array
    {
        if ([] === $rows) {
            return [];
        }
        $options = new CheckOptions($preview->rules());
        $current = $this->rules->named($preview->rules()->id);
        // After an upgrade the rules are the same, and only the check itself is another.
        $isRecheck = $current->jsonSerialize() === $preview->rules()->jsonSerialize();
        $values = [];
        foreach ($rows as $row) {
            $chain =
                $this->reader->readStored($row->notation, $row->stance)
                ?? throw new \LogicException('A stored chain cannot be read: '.$row->notation);
            $result = $this->check->run($chain, $options);
            $change = $isRecheck
                ? new FindingChange(0, 0, 0)
                : FindingChange::between($this->check->run($chain, new CheckOptions($current)), $result);
            array_push(
                $values,
                $preview->id(),
                $row->id,
                $row->version,
                $row->verdict->value,
                $result->verdict->value,
                (int) round($result->timing->length()),
                Scale::builtIn()->difficulty($result)->level,
                $change->added,
                $change->removed,
            );
        }
        $this->connection->executeStatement(
            'REPLACE INTO rule_preview_result (rule_preview_id, combination_id, combination_version, verdict_before, '
                .'verdict, length_ms, level, findings_added, findings_removed) VALUES '
                .implode(', ', array_fill(0, \count($rows), '(?, ?, ?, ?, ?, ?, ?, ?, ?)')),
            $values,
        );

        return array_column($rows, 'id');
    }
}
