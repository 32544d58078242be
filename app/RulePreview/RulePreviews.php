<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\DBAL\Connection;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Search\SearchIndex;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;

/**
 * Checks the library anew under changed house rules. The results are laid aside batch by batch, so that a pass goes on
 * where it was when the server was killed, and the old verdicts can be read all the while. Saving puts rules and
 * results in place together, in one transaction; what coaches changed since their batch is checked then.
 */
final readonly class RulePreviews
{
    /** Changed combinations that are named in an answer; all of them are counted. */
    private const NAMED = 200;

    public function __construct(
        private Connection $connection,
        private CombinationTable $table,
        private SearchIndex $search,
        private GymHouseRules $rules,
        private Check $check,
        private Reader $reader,
        private LibraryLock $lock,
        private AuditLog $audit,
        private ClockInterface $clock,
        private int $batch = 400,
    ) {
    }

    /** A new pass, or the one of the same change that was cut off. */
    public function start(HouseRules $rules, int $starter): RulePreview
    {
        return $this->connection->transactional(function () use ($rules, $starter): RulePreview {
            $content = json_encode($rules->toArray(), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
            $version = $this->rules->version($rules->id);
            $cutOff = $this->connection->fetchAssociative(
                'SELECT * FROM rule_preview WHERE rules = ? AND starter_id = ? AND rules_version = ? AND content = ? AND state = ?',
                [$rules->id, $starter, $version, $content, RulePreviewState::Running->value],
            );
            if (false !== $cutOff) {
                return RulePreview::of($cutOff);
            }
            // One pass a coach and set: the one before was for another change, or is of yesterday.
            $this->connection->executeStatement('DELETE FROM rule_preview WHERE rules = ? AND starter_id = ?', [$rules->id, $starter]);
            $this->connection->insert('rule_preview', [
                'rules' => $rules->id,
                'rules_version' => $version,
                'content' => $content,
                'state' => RulePreviewState::Running->value,
                'total' => $this->count($rules->id),
                'done' => 0,
                'last_combination' => 0,
                'started_at' => $this->clock->now()->format('Y-m-d H:i:s'),
                'starter_id' => $starter,
            ]);

            return $this->get((int) $this->connection->lastInsertId());
        });
    }

    public function get(int $id): RulePreview
    {
        $row = $this->connection->fetchAssociative('SELECT * FROM rule_preview WHERE id = ?', [$id]);

        return false === $row ? throw new ApiProblem(404, 'not-found', 'This preview is not there any more. Make it again.') : RulePreview::of($row);
    }

    /** Goes on for about that long, at least one batch. */
    public function advance(int $id, float $seconds): RulePreview
    {
        $until = microtime(true) + $seconds;
        do {
            $preview = $this->connection->transactional(fn (): RulePreview => $this->step($id));
        } while (RulePreviewState::Running === $preview->state && microtime(true) < $until);

        return $preview;
    }

    /** Puts the rules and what they make of the library in place. */
    public function save(int $id, int $editor): RulePreview
    {
        $saved = $this->connection->transactional(function () use ($id, $editor): RulePreview {
            $this->lock->take();
            $preview = $this->get($id);
            if (RulePreviewState::Saved === $preview->state) {
                return $preview;
            }
            if (RulePreviewState::Ready !== $preview->state) {
                throw new ApiProblem(409, 'not-ready', 'The library is not checked to the end yet. Wait for it, then save.');
            }
            if ($this->rules->version($preview->rules->id, lock: true) !== $preview->rulesVersion) {
                throw new ApiProblem(412, 'changed-meanwhile', 'These house rules were changed meanwhile. Nothing was overwritten; look at the newest and make the change again.');
            }
            $this->putInPlace($preview);
            $this->rules->store($preview->rules, $editor, $this->clock->now());
            $this->audit->add($editor, 'rules.saved', \sprintf('changed the house rules for %s', strtr($preview->rules->id, '-', ' ')), 'house-rules?set='.$preview->rules->id);
            $this->connection->update('rule_preview', ['state' => RulePreviewState::Saved->value], ['id' => $id]);

            return $this->get($id);
        });
        $this->rules->forget();

        return $saved;
    }

    /**
     * Checks the library anew under the rules as they are, after the check itself has changed.
     *
     * @return int how many verdicts changed
     */
    public function refresh(string $set, int $starter): int
    {
        // A pass of before would mix what two checks say.
        $this->connection->delete('rule_preview', ['rules' => $set]);
        $preview = $this->start($this->rules->named($set), $starter);
        while (RulePreviewState::Running === $preview->state) {
            $preview = $this->advance($preview->id, 1.0);
        }

        return $this->connection->transactional(function () use ($preview): int {
            $this->lock->take();
            $this->rules->version($preview->rules->id, lock: true);
            $this->putInPlace($preview);
            $changed = array_sum(array_column($this->found($preview)['changes'], 'count'));
            $this->connection->delete('rule_preview', ['id' => $preview->id]);

            return $changed;
        });
    }

    private function putInPlace(RulePreview $preview): void
    {
        $this->catchUp($preview);
        $changed = $this->table->takeResults(['SELECT combination_id, verdict, length_ms, level FROM rule_preview_result WHERE rule_preview_id = ?', [$preview->id]], $preview->rules->id);
        $this->search->change($changed);
    }

    /**
     * What the pass has found so far.
     *
     * @return array{changes: list<array{from: string, to: string, count: int}>, changed: list<array{id: int, name: string, notation: string, stance: string, from: string, to: string}>}
     */
    public function found(RulePreview $preview): array
    {
        /** @var array<int, array{from: string, to: string}> $results */
        $results = $this->connection->fetchAllAssociativeIndexed('SELECT combination_id, verdict_before AS `from`, verdict AS `to` FROM rule_preview_result WHERE rule_preview_id = ? AND verdict <> verdict_before', [$preview->id]);
        $changed = array_map(static fn (array $row): array => [...$row, ...$results[$row['id']]], $this->table->inUse(array_keys($results)));
        $counts = [];
        foreach ($changed as ['from' => $from, 'to' => $to]) {
            $counts["$from $to"] ??= ['from' => $from, 'to' => $to, 'count' => 0];
            ++$counts["$from $to"]['count'];
        }
        ksort($counts);

        return [
            'changes' => array_values($counts),
            'changed' => \array_slice($changed, 0, self::NAMED),
        ];
    }

    /** One batch; whoever asks at the same time waits for it and does the next. */
    private function step(int $id): RulePreview
    {
        $this->connection->fetchOne('SELECT id FROM rule_preview WHERE id = ? FOR UPDATE', [$id]);
        $preview = $this->get($id);
        if (RulePreviewState::Running !== $preview->state) {
            return $preview;
        }
        $rows = $this->table->underRules($preview->rules->id, $preview->lastCombination, $this->batch);
        $this->lay($preview, $rows);
        $last = end($rows);
        $ended = \count($rows) < $this->batch;
        $this->connection->update('rule_preview', [
            'done' => $ended ? $this->count($preview->rules->id) : $preview->done + \count($rows),
            'total' => $ended ? $this->count($preview->rules->id) : max($preview->total, $preview->done + \count($rows)),
            'last_combination' => false === $last ? $preview->lastCombination : $last['id'],
            'state' => ($ended ? RulePreviewState::Ready : RulePreviewState::Running)->value,
        ], ['id' => $id]);

        return $this->get($id);
    }

    /** Checks what was written since its batch; nothing can be written while the rules are locked. */
    private function catchUp(RulePreview $preview): void
    {
        do {
            $rows = $this->table->underRules($preview->rules->id, 0, $this->batch, [
                'NOT EXISTS (SELECT 1 FROM rule_preview_result r WHERE r.rule_preview_id = ? AND r.combination_id = c.id AND r.combination_version = c.version)',
                [$preview->id],
            ]);
            $this->lay($preview, $rows);
        } while ([] !== $rows);
    }

    /** @param list<array{id: int, version: int, notation: string, stance: string, verdict: string}> $rows */
    private function lay(RulePreview $preview, array $rows): void
    {
        if ([] === $rows) {
            return;
        }
        $options = new CheckOptions($preview->rules);
        $numbering = Numbering::named('parity');
        $values = [];
        foreach ($rows as $row) {
            $stance = Stance::from($row['stance']);
            $chain = $this->reader->read($row['notation'], $numbering, $stance)->chain ?? throw new \LogicException('A stored chain cannot be read: '.$row['notation']);
            $result = $this->check->run(new ChainInStance($chain, $stance), $options);
            array_push($values, $preview->id, $row['id'], $row['version'], $row['verdict'], $result->verdict->value, (int) round($result->timing->length()), Scale::builtIn()->of($result)->level);
        }
        $this->connection->executeStatement(
            'REPLACE INTO rule_preview_result (rule_preview_id, combination_id, combination_version, verdict_before, verdict, length_ms, level) VALUES '
            .implode(', ', array_fill(0, \count($rows), '(?, ?, ?, ?, ?, ?, ?)')),
            $values,
        );
    }

    private function count(string $rules): int
    {
        return $this->table->count(['c.rules = ?', [$rules]]);
    }
}
