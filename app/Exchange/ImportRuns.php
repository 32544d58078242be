<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\DBAL\ParameterType;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\BulkInserter;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Combination\NewCombination;
use Periplus\App\Combination\SaveRequest;
use Periplus\App\Combination\VersionChange;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;

/**
 * Imports in two halves. The first reads a file line by line and says what each would do, in steps that survive a kill;
 * nothing of the library changes. The second puts all of it in place in one transaction, or nothing.
 */
final readonly class ImportRuns
{
    /** Entries that are read in one transaction, and rows of one insert. */
    private const BATCH = 100;
    private const ROWS = 500;
    private const WAITING = 'waiting';

    public function __construct(
        private Connection $connection,
        private DraftReader $drafts,
        private Library $library,
        private BulkInserter $inserter,
        private CombinationTable $table,
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
        $options = ['numbering' => $this->numberings->named($request->numbering)->id, 'stance' => $request->stance->value, 'rules' => $request->rules ?? ''];
        $entries = ImportFile::of($request->format, $request->content, $options);

        return $this->connection->transactional(function () use ($request, $options, $entries, $starter): int {
            // One import a coach: the one before was given up or is done.
            $this->connection->delete('import_run', ['starter_id' => $starter]);
            $this->connection->insert('import_run', [
                'state' => 'reading',
                'format' => $request->format->value,
                'options' => json_encode($options, \JSON_THROW_ON_ERROR),
                'content' => '',
                'total' => \count($entries),
                'done' => 0,
                'starter_id' => $starter,
                'started_at' => $this->clock->now()->format('Y-m-d H:i:s'),
            ]);
            $id = (int) $this->connection->lastInsertId();
            // Numbered by their order: two combinations of a JSON file may stand on one line.
            foreach (array_chunk($entries, self::ROWS, true) as $chunk) {
                $values = [];
                foreach ($chunk as $at => $entry) {
                    array_push($values, $id, $at + 1, self::WAITING, \sprintf('Line %d: %s', $entry->line, $entry->source), $entry->json(), $entry->problem);
                }
                $this->connection->executeStatement('INSERT INTO import_line (import_id, line, kind, source, content, message) VALUES '.implode(', ', array_fill(0, \count($chunk), '(?, ?, ?, ?, ?, ?)')), $values);
            }

            return $id;
        });
    }

    /** Goes on reading for about that long, at least one batch. */
    public function advance(int $id, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        do {
            $going = $this->connection->transactional(fn (): bool => $this->step($id));
        } while ($going && microtime(true) < $until);
    }

    /** One batch; whoever asks at the same time waits for it and does the next. @return bool whether there is more */
    private function step(int $id): bool
    {
        $this->connection->fetchOne('SELECT id FROM import_run WHERE id = ? FOR UPDATE', [$id]);
        $run = $this->run($id);
        if ('reading' !== $run['state']) {
            return false;
        }
        /** @var list<array{line: int|string, source: string, content: string, message: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT line, source, content, message FROM import_line WHERE import_id = ? AND kind = ? ORDER BY line LIMIT '.self::BATCH, [$id, self::WAITING]);
        foreach ($this->judge($id, $rows) as $line => $judged) {
            $this->connection->update('import_line', $judged, ['import_id' => $id, 'line' => $line]);
        }
        $done = $run['done'] + \count($rows);
        $this->connection->update('import_run', ['done' => $done, 'state' => $done === $run['total'] ? 'ready' : 'reading'], ['id' => $id]);

        return $done < $run['total'];
    }

    /**
     * Puts everything in place, or nothing. What is new is stored before the lock is taken, where nobody sees it before
     * all is done, so that other writes hardly wait.
     */
    public function apply(int $id, User $user): void
    {
        set_time_limit(300);
        $this->connection->transactional(function () use ($id, $user): void {
            $this->connection->fetchOne('SELECT id FROM import_run WHERE id = ? FOR UPDATE', [$id]);
            $run = $this->run($id);
            if ('applied' === $run['state']) {
                return;
            }
            if ('ready' !== $run['state']) {
                throw new ApiProblem(409, 'not-ready', 'The file is not read to the end yet. Wait for it, then import.');
            }
            /** @var list<array{line: int|string, kind: string, content: string, fingerprint: string, combination_id: int|string|null, combination_version: int|string|null}> $rows */
            $rows = $this->connection->fetchAllAssociative("SELECT line, kind, content, fingerprint, combination_id, combination_version FROM import_line WHERE import_id = ? AND kind IN ('new', 'changed') ORDER BY line", [$id]);
            [$new, $lines, $changed] = [[], [], []];
            foreach ($rows as $row) {
                [$content, $archived] = self::stored($row['content']) ?? throw new \LogicException('What comes in was read.');
                $draft = $this->drafts->of($content);
                if ('changed' === $row['kind']) {
                    $changed[] = [(int) $row['combination_id'], (int) $row['combination_version'], $draft];
                } else {
                    $new[] = new NewCombination($draft->content, $this->library->checked($draft), $archived);
                    $lines[] = (int) $row['line'];
                }
            }
            try {
                $ids = $this->inserter->create($new, $user->id(), $user->name());
            } catch (UniqueConstraintViolationException) {
                $this->refuseWhatCame($new);
                throw new ApiProblem(409, 'already-there', 'A chain of this file came into the library meanwhile. Read the file again.');
            }
            foreach (array_chunk(array_combine($lines, $ids), self::ROWS, true) as $chunk) {
                $cases = implode(' ', array_fill(0, \count($chunk), 'WHEN ? THEN ?'));
                $values = array_merge(...array_map(static fn (int $line, int $made): array => [$line, $made], array_keys($chunk), array_values($chunk)));
                $this->connection->executeStatement('UPDATE import_line SET combination_id = CASE line '.$cases.' END WHERE import_id = ? AND line IN ('.implode(', ', array_keys($chunk)).')', [...$values, $id]);
            }
            $this->library->write(function () use ($id, $user, $new, $changed): void {
                foreach ($changed as [$combination, $version, $draft]) {
                    $this->library->update($combination, $version, $draft, $user, VersionChange::Imported);
                }
                $this->audit->add($user->id(), 'library.imported', \sprintf('imported a file: %d new, %d changed', \count($new), \count($changed)));
                $this->connection->update('import_run', ['state' => 'applied'], ['id' => $id]);
            });
        });
    }

    /**
     * Takes an import back as one: what it brought is archived, and what it changed is again as it was. What somebody has
     * changed since stays.
     *
     * @return list<string> the names of what stays
     */
    public function undo(int $id, User $user): array
    {
        set_time_limit(300);

        return $this->connection->transactional(function () use ($id, $user): array {
            $this->connection->fetchOne('SELECT id FROM import_run WHERE id = ? FOR UPDATE', [$id]);
            if ('applied' !== $this->run($id)['state']) {
                throw new ApiProblem(409, 'not-applied', 'This import is not in place, so there is nothing to take back.');
            }
            /** @var list<array{kind: string, combination_id: int|string, combination_version: int|string|null}> $rows */
            $rows = $this->connection->fetchAllAssociative("SELECT kind, combination_id, combination_version FROM import_line WHERE import_id = ? AND kind IN ('new', 'changed') AND combination_id IS NOT NULL ORDER BY line DESC", [$id]);

            return $this->library->write(function () use ($rows, $id, $user): array {
                $stays = [];
                foreach ($rows as $row) {
                    $combination = (int) $row['combination_id'];
                    $summary = $this->table->summaries([$combination])[0] ?? null;
                    $before = 'new' === $row['kind'] ? 0 : (int) $row['combination_version'];
                    if (null === $summary || $summary->version !== $before + 1) {
                        $stays[] = $summary->content->name ?? '';
                    } elseif ('changed' === $row['kind']) {
                        $this->library->bringBack($combination, $summary->version, $before, $user);
                    } elseif (null === $summary->archivedAt) {
                        $this->library->archive($combination, $summary->version, $user);
                    }
                }
                $this->audit->add($user->id(), 'library.import-undone', \sprintf('took an import back: %d of %d', \count($rows) - \count($stays), \count($rows)));
                $this->connection->update('import_run', ['state' => 'undone'], ['id' => $id]);

                return array_values(array_filter($stays, static fn (string $name): bool => '' !== $name));
            });
        });
    }

    /** Another chain or name for one entry, or leaving it out; what it would do is worked out anew. */
    public function edit(int $id, int $line, LineRequest $request): void
    {
        $this->connection->transactional(function () use ($id, $line, $request): void {
            $this->connection->fetchOne('SELECT id FROM import_run WHERE id = ? FOR UPDATE', [$id]);
            $run = $this->run($id);
            if ('ready' !== $run['state']) {
                throw new ApiProblem(409, 'not-ready', 'Entries can be changed once the file is read to the end, and before it is imported.');
            }
            /** @var array{source: string, content: string|null}|false $row */
            $row = $this->connection->fetchAssociative('SELECT source, content FROM import_line WHERE import_id = ? AND line = ?', [$id, $line]);
            if (false === $row) {
                throw new ApiProblem(404, 'not-found', 'There is no such entry in this file.');
            }
            $place = ['import_id' => $id, 'line' => $line];
            // An entry that is looked at anew is not a duplicate of itself.
            $this->connection->update('import_line', ['kind' => $request->leaveOut ? 'left-out' : self::WAITING, 'message' => '', 'fingerprint' => ''], $place);
            if ($request->leaveOut) {
                return;
            }
            $before = self::stored($row['content']);
            $isNew = null !== $request->chain || null === $before;
            $fields = [
                'name' => $request->name ?? $before[0]->name ?? '',
                'chain' => $request->chain ?? $before[0]->notation ?? '',
                'numbering' => $isNew ? $run['options']['numbering'] : 'parity',
                'stance' => $before[0]->stance->value ?? $run['options']['stance'],
                'rules' => $before[0]->rules ?? $run['options']['rules'],
                'themes' => $before[0]->themes ?? [],
                'level' => null !== $before && true === $before[0]->levelChosen ? $before[0]->level : null,
                'note' => $before[0]->note ?? '',
                'archived' => $before[1] ?? false,
            ];
            $entry = new ImportEntry($line, $row['source'], $fields);
            $this->connection->update('import_line', $this->judge($id, [['line' => $line, 'source' => $row['source'], 'content' => $entry->json(), 'message' => '']])[$line], $place);
        });
    }

    /** @return array{id: int, state: string, total: int, done: int, counts: object} counted by kind is what was read so far */
    public function state(int $id): array
    {
        $run = $this->run($id);
        /** @var array<string, int|string> $counts */
        $counts = $this->connection->fetchAllKeyValue('SELECT kind, COUNT(*) FROM import_line WHERE import_id = ? AND kind <> ? GROUP BY kind', [$id, self::WAITING]);

        return ['id' => $id, 'state' => $run['state'], 'total' => $run['total'], 'done' => $run['done'], 'counts' => (object) array_map(intval(...), $counts)];
    }

    /** @return list<array{entry: int, kind: string, source: string, content: CombinationContent|null, written: array{name: string, chain: string}|null, message: string, combination: int|null}> of what was read so far */
    public function lines(int $id, string $kind, int $page, int $size): array
    {
        /** @var list<array{line: int|string, kind: string, source: string, content: string|null, message: string, combination_id: int|string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            'SELECT line, kind, source, content, message, combination_id FROM import_line WHERE import_id = ? AND kind <> ?'.('' === $kind ? '' : ' AND kind = ?').' ORDER BY line LIMIT '.$size.' OFFSET '.(($page - 1) * $size),
            '' === $kind ? [$id, self::WAITING] : [$id, self::WAITING, $kind],
        );

        return array_map(static fn (array $row): array => [
            'entry' => (int) $row['line'],
            'kind' => $row['kind'],
            'source' => $row['source'],
            'content' => self::stored($row['content'])[0] ?? null,
            'written' => self::written($row['content']),
            'message' => $row['message'],
            'combination' => null === $row['combination_id'] ? null : (int) $row['combination_id'],
        ], $rows);
    }

    /**
     * What each entry would do. What the library has of the whole batch is fetched at once.
     *
     * @param list<array{line: int|string, source: string, content: string, message: string}> $rows of import_line
     *
     * @return array<int, array<string, mixed>> by line: the columns of it
     */
    private function judge(int $id, array $rows): array
    {
        [$judged, $drafts, $entries, $fingerprints] = [[], [], [], []];
        foreach ($rows as $row) {
            $line = (int) $row['line'];
            $entries[$line] = ImportEntry::ofJson($row['content'], $row['message']);
            // The text as it stands in the file, for the coach to correct.
            $judged[$line] = [
                'kind' => 'unreadable',
                'message' => $entries[$line]->problem,
                'content' => $row['content'],
            ];
            if (null === $entries[$line]->fields) {
                continue;
            }
            try {
                $drafts[$line] = $this->draft($entries[$line]->fields);
                $fingerprints[$line] = Fingerprint::of($drafts[$line]->inStance->chain)->withEffort;
            } catch (ApiProblem $problem) {
                $judged[$line]['message'] = $problem->getMessage();
            }
        }
        $chains = $this->table->withChains(array_values(array_unique($fingerprints)));
        $names = $this->table->named(array_values(array_map(static fn (CombinationDraft $draft): string => $draft->content->name, $drafts)));
        $earlier = $this->earlier($id, array_values(array_unique($fingerprints)));
        $namesakes = $this->namesakes(
            $id,
            array_values(array_map(
                static fn (CombinationDraft $draft): string => mb_strtolower($draft->content->name),
                $drafts,
            )),
        );
        [$near, $hints] = [[], []];
        foreach ($drafts as $line => $draft) {
            $fingerprint = $fingerprints[$line];
            $archived = true === ($entries[$line]->fields['archived'] ?? false);
            $judged[$line] = [...$judged[$line], 'content' => self::json($draft->content, $archived), 'fingerprint' => $fingerprint, ...$this->would(
                $draft,
                $entries[$line]->stated,
                $archived,
                $earlier[$fingerprint] ?? null,
                array_values(array_filter($chains[$fingerprint] ?? [], static fn (CombinationSummary $summary): bool => null === $summary->archivedAt || mb_strtolower($summary->content->name) === mb_strtolower($draft->content->name)))[0] ?? null,
                $names[mb_strtolower($draft->content->name)] ?? null,
            )];
            if (\in_array($judged[$line]['kind'], ['new', 'changed'], true)) {
                $earlier[$fingerprint] ??= $line;
                $name = mb_strtolower($draft->content->name);
                $namesake = $namesakes[$name] ?? $line;
                $namesakes[$name] = min($namesake, $line);
                if ($namesake < $line) {
                    $hints[$line] = \sprintf('Entry %d has the same name.', $namesake);
                }
            }
            if ('new' === $judged[$line]['kind']) {
                $near[$line] = $draft->inStance;
            }
        }
        foreach ($this->similar->nearest($near) as $line => $nearest) {
            $judged[$line]['message'] = \sprintf('%s “%s” (%s).', ucfirst($nearest['relation']->words()), $nearest['row']['name'], $nearest['row']['notation']);
        }
        foreach ($hints as $line => $hint) {
            $message = $judged[$line]['message'] ?? '';
            $judged[$line]['message'] = trim($hint.' '.(\is_string($message) ? $message : ''));
        }

        return $judged;
    }

    /**
     * @param list<string> $fingerprints
     *
     * @return array<string, int> by fingerprint: the first entry of the file that brings that chain
     */
    private function earlier(int $id, array $fingerprints): array
    {
        /** @var array<string, int|string> $lines */
        $lines = [] === $fingerprints ? [] : $this->connection->fetchAllKeyValue("SELECT fingerprint, MIN(line) FROM import_line WHERE import_id = ? AND fingerprint IN (?) AND kind IN ('new', 'changed') GROUP BY fingerprint", [$id, $fingerprints], [ParameterType::INTEGER, ArrayParameterType::STRING]);

        return array_map(intval(...), $lines);
    }

    /**
     * @param list<string> $names in lower case
     *
     * @return array<string, int> by name: the first entry of the file that has it
     */
    private function namesakes(int $id, array $names): array
    {
        $name = "LOWER(JSON_VALUE(content, '$.content.name'))";
        /** @var array<string, int|string> $lines */
        $lines = [] === $names ? [] : $this->connection->fetchAllKeyValue(
            "SELECT $name, MIN(line) FROM import_line WHERE import_id = ? AND kind IN ('new', 'changed') AND $name IN (?) GROUP BY $name",
            [$id, $names],
            [ParameterType::INTEGER, ArrayParameterType::STRING],
        );

        return array_map(intval(...), $lines);
    }

    /**
     * @param list<string> $stated
     * @param int|null $earlier the entry of this file with the same chain
     * @param CombinationSummary|null $same what has the chain in the library: in use, or archived under the same name
     * @param CombinationSummary|null $named what is in use under the name
     *
     * @return array<string, mixed> what the entry would do
     */
    private function would(CombinationDraft $draft, array $stated, bool $archived, ?int $earlier, ?CombinationSummary $same, ?CombinationSummary $named): array
    {
        if (null !== $earlier) {
            return ['kind' => 'duplicate', 'message' => \sprintf('The same chain is entry %d of this file.', $earlier)];
        }
        if (null !== $same) {
            $theirs = $same->content;
            $isSame = mb_strtolower($theirs->name) === mb_strtolower($draft->content->name);
            $would = $theirs->with($draft->content, $stated);

            return match (true) {
                $isSame && $theirs->toArray() === $would->toArray() => ['kind' => 'same', 'message' => 'It is in the library just so.', 'combination_id' => $same->id],
                $isSame && null === $same->archivedAt => ['kind' => 'changed', 'message' => \sprintf('Changes %s of “%s”.', implode(', ', $would->differencesFrom($theirs)), $theirs->name), 'content' => self::json($would, false), 'combination_id' => $same->id, 'combination_version' => $same->version],
                default => ['kind' => 'duplicate', 'message' => \sprintf('This chain is in the library already as “%s”.', $theirs->name), 'combination_id' => $same->id],
            };
        }
        if (null !== $named && !$archived) {
            return ['kind' => 'changed', 'message' => \sprintf('Changes the chain of “%s”, which is %s now.', $named->content->name, $named->content->notation), 'content' => self::json($named->content->with($draft->content, $stated), false), 'combination_id' => $named->id, 'combination_version' => $named->version];
        }

        return ['kind' => 'new', 'message' => ''];
    }

    /** @param array{name: string, chain: string, numbering: string, stance: string, rules: string, themes: list<string>, level: int|null, note: string, archived: bool} $fields */
    private function draft(array $fields): CombinationDraft
    {
        $stance = Stance::tryFrom(mb_strtolower($fields['stance'])) ?? throw new ApiProblem(422, 'invalid', \sprintf('“%s” is no stance: orthodox or southpaw.', mb_substr($fields['stance'], 0, 30)));
        $request = new SaveRequest('' === trim($fields['name']) ? mb_substr(trim($fields['chain']), 0, 120) : $fields['name'], $fields['chain'], $fields['numbering'], $stance, '' === $fields['rules'] ? null : mb_strtolower($fields['rules']), $fields['themes'], $fields['level'], $fields['note']);
        $violations = $this->validator->validate($request);
        if (\count($violations) > 0) {
            throw new ApiProblem(422, 'invalid', (string) $violations->get(0)->getMessage());
        }
        $draft = $this->drafts->read($request);
        $result = $this->check->run($draft->inStance, new CheckOptions($this->rules->named($draft->content->rules)));

        return new CombinationDraft($draft->content->settled(CheckSummary::of($result)), $draft->inStance);
    }

    /**
     * What came into the library since the file was read.
     *
     * @param list<NewCombination> $new
     */
    private function refuseWhatCame(array $new): void
    {
        foreach ($new as $one) {
            if (!$one->archived) {
                $this->library->refuseDuplicate($one->check->fingerprint->withEffort, null);
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

    /** @return array{name: string, chain: string}|null as it stands in the file, of an entry that could not be read */
    private static function written(?string $json): ?array
    {
        if (null === $json || null !== self::stored($json)) {
            return null;
        }
        $fields = ImportEntry::ofJson($json, '')->fields;

        return null === $fields ? null : ['name' => $fields['name'], 'chain' => $fields['chain']];
    }

    /** @return array{CombinationContent, bool}|null what {@see json} wrote; null for an entry that was not read */
    private static function stored(?string $json): ?array
    {
        /** @var array{archived?: bool, content?: array<string, mixed>} $data */
        $data = json_decode($json ?? '{}', true, flags: \JSON_THROW_ON_ERROR);
        if (!isset($data['content'], $data['archived'])) {
            return null;
        }

        return [CombinationContent::ofJson(json_encode($data['content'], \JSON_THROW_ON_ERROR)), $data['archived']];
    }
}
