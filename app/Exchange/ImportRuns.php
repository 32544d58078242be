<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\BulkInserter;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Combination\SaveRequest;
use Periplus\App\Combination\VersionChange;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Review\Proposal;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\Circumstances;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Imports in two halves. The first reads a file line by line and says what each would do, in steps that survive a kill;
 * nothing of the library changes. The second puts all of it in place in one transaction, or nothing.
 */
final readonly class ImportRuns
{
    private const BATCH = 50;

    public function __construct(
        private Connection $connection,
        private DraftReader $drafts,
        private Library $library,
        private BulkInserter $inserter,
        private SimilarCombinations $similar,
        private Check $check,
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private AuditLog $audit,
        private ValidatorInterface $validator,
        private ClockInterface $clock,
    ) {
    }

    /** @return int the id */
    public function start(ImportRequest $request, int $starter): int
    {
        $options = ['numbering' => $this->numberings->named($request->numbering)->id, 'stance' => $request->stance->value, 'rules' => $request->rules];
        $entries = ImportFile::of($request->format, $request->content, $options);
        // One import a coach: the one before was given up or is done.
        $this->connection->delete('import_run', ['starter_id' => $starter]);
        $this->connection->insert('import_run', [
            'state' => 'reading',
            'format' => $request->format->value,
            'options' => json_encode($options, \JSON_THROW_ON_ERROR),
            'content' => $request->content,
            'total' => \count($entries),
            'done' => 0,
            'starter_id' => $starter,
            'started_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ]);

        return (int) $this->connection->lastInsertId();
    }

    /** Goes on reading for about that long, at least one batch. */
    public function advance(int $id, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        $run = $this->run($id);
        if ('reading' !== $run['state']) {
            return;
        }
        $entries = ImportFile::of(FileFormat::from($run['format']), $run['content'], $run['options']);
        do {
            $going = $this->connection->transactional(function () use ($id, $entries): bool {
                $this->connection->fetchOne('SELECT id FROM import_run WHERE id = ? FOR UPDATE', [$id]);
                $run = $this->run($id);
                if ('reading' !== $run['state']) {
                    return false;
                }
                $batch = \array_slice($entries, $run['done'], self::BATCH);
                foreach ($batch as $at => $entry) {
                    // Numbered by their order: two combinations of a JSON file may stand on one line.
                    $this->connection->insert('import_line', ['import_id' => $id, 'line' => $run['done'] + $at + 1, ...$this->judge($id, $entry)]);
                }
                $done = $run['done'] + \count($batch);
                $this->connection->update('import_run', ['done' => $done, 'state' => $done === $run['total'] ? 'ready' : 'reading'], ['id' => $id]);

                return $done < $run['total'];
            });
        } while ($going && microtime(true) < $until);
    }

    /** Puts everything in place, or nothing. */
    public function apply(int $id, User $user): void
    {
        set_time_limit(300);
        $this->library->write(function () use ($id, $user): void {
            $run = $this->run($id);
            if ('applied' === $run['state']) {
                return;
            }
            if ('ready' !== $run['state']) {
                throw new ApiProblem(409, 'not-ready', 'The file is not read to the end yet. Wait for it, then import.');
            }
            /** @var list<array{line: int|string, kind: string, content: string, combination_id: int|string|null, combination_version: int|string|null}> $rows */
            $rows = $this->connection->fetchAllAssociative("SELECT line, kind, content, combination_id, combination_version FROM import_line WHERE import_id = ? AND kind IN ('new', 'changed') ORDER BY line", [$id]);
            $new = [];
            $changed = 0;
            foreach ($rows as $row) {
                [$content, $archived] = self::stored($row['content']);
                $draft = $this->drafts->of($content);
                if ('new' === $row['kind']) {
                    $new[] = [$draft->content, $this->library->checked($draft), $archived];
                    continue;
                }
                $this->library->update((int) $row['combination_id'], (int) $row['combination_version'], $draft, $user, VersionChange::Imported);
                ++$changed;
            }
            $this->refuseWhatCame($new);
            $this->inserter->create($new, $user->id(), $user->name());
            $this->audit->add($user->id(), 'library.imported', \sprintf('imported a file: %d new, %d changed', \count($new), $changed));
            $this->connection->update('import_run', ['state' => 'applied', 'content' => ''], ['id' => $id]);
        });
    }

    /** @return array{id: int, state: string, total: int, done: int, counts: object} */
    public function state(int $id): array
    {
        $run = $this->run($id);
        /** @var array<string, int|string> $counts */
        $counts = $this->connection->fetchAllKeyValue('SELECT kind, COUNT(*) FROM import_line WHERE import_id = ? GROUP BY kind', [$id]);

        return ['id' => $id, 'state' => $run['state'], 'total' => $run['total'], 'done' => $run['done'], 'counts' => (object) array_map(intval(...), $counts)];
    }

    /** @return list<array{entry: int, kind: string, source: string, content: CombinationContent|null, message: string, combination: int|null}> */
    public function lines(int $id, string $kind, int $page, int $size): array
    {
        /** @var list<array{line: int|string, kind: string, source: string, content: string|null, message: string, combination_id: int|string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT line, kind, source, content, message, combination_id FROM import_line WHERE import_id = ?'.('' === $kind ? '' : ' AND kind = ?').' ORDER BY line LIMIT '.$size.' OFFSET '.(($page - 1) * $size),
            '' === $kind ? [$id] : [$id, $kind],
        );

        return array_map(static fn (array $row): array => [
            'entry' => (int) $row['line'],
            'kind' => $row['kind'],
            'source' => $row['source'],
            'content' => null === $row['content'] ? null : self::stored($row['content'])[0],
            'message' => $row['message'],
            'combination' => null === $row['combination_id'] ? null : (int) $row['combination_id'],
        ], $rows);
    }

    /** @return array<string, mixed> a row of import_line: what the entry would do */
    private function judge(int $id, ImportEntry $entry): array
    {
        $row = ['source' => \sprintf('Line %d: %s', $entry->line, $entry->source), 'kind' => 'unreadable', 'message' => $entry->problem, 'content' => null, 'fingerprint' => null, 'combination_id' => null, 'combination_version' => null];
        if (null === $entry->fields) {
            return $row;
        }
        try {
            $draft = $this->draft($entry->fields);
        } catch (ApiProblem $problem) {
            return [...$row, 'message' => $problem->getMessage()];
        }
        $fingerprint = Fingerprint::of($draft->inStance->chain)->withEffort;
        $row['content'] = self::json($draft->content, $entry->fields['archived']);
        $row['fingerprint'] = $fingerprint;
        $earlier = $this->connection->fetchOne("SELECT line FROM import_line WHERE import_id = ? AND fingerprint = ? AND kind IN ('new', 'changed') LIMIT 1", [$id, $fingerprint]);
        if (is_numeric($earlier)) {
            return [...$row, 'kind' => 'duplicate', 'message' => \sprintf('The same chain is entry %d of this file.', $earlier)];
        }
        /** @var array{id: int|string, name: string, version: int|string, notation: string, stance: string, rules: string, themes: string, level: int|string, level_chosen: int|string|null, note: string, archived_at: string|null}|false $same */
        $same = $this->connection->fetchAssociative('SELECT * FROM combination WHERE in_use = ? OR (fingerprint_with_effort = ? AND archived_at IS NOT NULL AND name = ?) ORDER BY archived_at IS NULL DESC LIMIT 1', [$fingerprint, $fingerprint, $draft->content->name]);
        if (false !== $same) {
            $theirs = CombinationContent::ofRow($same);
            $isSame = mb_strtolower($theirs->name) === mb_strtolower($draft->content->name);
            $would = $theirs->with($draft->content, $entry->stated);
            if ($isSame && $theirs->toArray() === $would->toArray()) {
                return [...$row, 'kind' => 'same', 'message' => 'It is in the library just so.', 'combination_id' => (int) $same['id']];
            }

            return $isSame && null === $same['archived_at']
                ? [...$row, 'kind' => 'changed', 'message' => \sprintf('Changes %s of “%s”.', implode(', ', $would->differencesFrom($theirs)), $theirs->name), 'content' => self::json($would, false), 'combination_id' => (int) $same['id'], 'combination_version' => (int) $same['version']]
                : [...$row, 'kind' => 'duplicate', 'message' => \sprintf('This chain is in the library already as “%s”.', $theirs->name), 'combination_id' => (int) $same['id']];
        }
        /** @var array{id: int|string, version: int|string, name: string, notation: string, stance: string, rules: string, themes: string, level: int|string, level_chosen: int|string|null, note: string}|false $named */
        $named = $this->connection->fetchAssociative('SELECT * FROM combination WHERE name = ? AND archived_at IS NULL ORDER BY id LIMIT 1', [$draft->content->name]);
        if (false !== $named && !$entry->fields['archived']) {
            return [...$row, 'kind' => 'changed', 'message' => \sprintf('Changes the chain of “%s”, which is %s now.', $named['name'], $named['notation']), 'content' => self::json(CombinationContent::ofRow($named)->with($draft->content, $entry->stated), false), 'combination_id' => (int) $named['id'], 'combination_version' => (int) $named['version']];
        }

        return [...$row, 'kind' => 'new', 'message' => $this->nearest($draft)];
    }

    /** @param array{name: string, chain: string, numbering: string, stance: string, rules: string, themes: list<string>, level: int|null, note: string, archived: bool} $fields */
    private function draft(array $fields): CombinationDraft
    {
        $stance = Stance::tryFrom(mb_strtolower($fields['stance'])) ?? throw new ApiProblem(422, 'invalid', \sprintf('“%s” is no stance: orthodox or southpaw.', mb_substr($fields['stance'], 0, 30)));
        $request = new SaveRequest('' === trim($fields['name']) ? mb_substr(trim($fields['chain']), 0, 120) : $fields['name'], $fields['chain'], $fields['numbering'], $stance, mb_strtolower($fields['rules']), $fields['themes'], $fields['level'], $fields['note']);
        $violations = $this->validator->validate($request);
        if (\count($violations) > 0) {
            throw new ApiProblem(422, 'invalid', (string) $violations->get(0)->getMessage());
        }
        $draft = $this->drafts->read($request);
        $result = $this->check->run($draft->inStance, new Circumstances($this->rules->named($draft->content->rules)));

        return new CombinationDraft($draft->content->settled(CheckSummary::of($result)), $draft->inStance);
    }

    /** What is near in the library, in one sentence; empty when nothing is. */
    private function nearest(CombinationDraft $draft): string
    {
        $near = $this->similar->near($draft->inStance);

        return [] === $near ? '' : \sprintf('%s “%s” (%s).', ucfirst($near[0]['relation']->words()), $near[0]['row']['name'], $near[0]['row']['notation']);
    }

    /**
     * What came into the library since the file was read.
     *
     * @param list<array{CombinationContent, CheckSummary, bool}> $new
     */
    private function refuseWhatCame(array $new): void
    {
        foreach ($new as [$content, $checked, $archived]) {
            if (!$archived) {
                $this->library->refuseDuplicate($checked->fingerprint->withEffort, null);
            }
        }
    }

    /** @return array{state: string, format: string, content: string, total: int, done: int, options: array{numbering: string, stance: string, rules: string}} */
    private function run(int $id): array
    {
        /** @var array{state: string, format: string, content: string, total: int|string, done: int|string, options: string}|false $row */
        $row = $this->connection->fetchAssociative('SELECT state, format, content, total, done, options FROM import_run WHERE id = ?', [$id]);
        if (false === $row) {
            throw new ApiProblem(404, 'not-found', 'This import is not there any more. Begin it again.');
        }
        /** @var array{numbering: string, stance: string, rules: string} $options */
        $options = json_decode($row['options'], true, flags: \JSON_THROW_ON_ERROR);

        return ['state' => $row['state'], 'format' => $row['format'], 'content' => $row['content'], 'total' => (int) $row['total'], 'done' => (int) $row['done'], 'options' => $options];
    }

    private static function json(CombinationContent $content, bool $archived): string
    {
        return json_encode(['archived' => $archived, 'content' => $content->toArray()], \JSON_THROW_ON_ERROR);
    }

    /** @return array{CombinationContent, bool} what {@see json} wrote */
    private static function stored(string $json): array
    {
        /** @var array{archived: bool, content: array<string, mixed>} $data */
        $data = json_decode($json, true, flags: \JSON_THROW_ON_ERROR);

        return [Proposal::content(json_encode($data['content'], \JSON_THROW_ON_ERROR)), $data['archived']];
    }
}
