<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\BulkInserter;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Combination\NewCombination;
use Periplus\App\Combination\VersionChange;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Versions;
use Periplus\App\Work\Workers;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

use function Periplus\Core\Language\t;

/**
 * Runs imports in two phases. The first reads a file and decides what each line would do, in steps that survive a
 * killed server; the library does not change. The second applies everything in one transaction, or nothing.
 */
final readonly class ImportRuns
{
    /** Number of entries read in one transaction. */
    private const ENTRIES_PER_STEP = 100;

    public function __construct(
        private EntityManagerInterface $entities,
        private Versions $versions,
        private ImportLines $lines,
        private ImportJudge $judge,
        private NotesFile $notes,
        private DraftReader $drafts,
        private Library $library,
        private BulkInserter $inserter,
        private CombinationTable $table,
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
        private Workers $workers,
    ) {
    }

    /** @return int the id */
    public function start(ImportRequest $request, int $starter): int
    {
        $options = new ImportOptions(
            $this->numberings->named($request->numbering)->id,
            $request->stance,
            $request->rules,
        );
        $entries =
            FileFormat::Notes === $request->format
                ? $this->notes->split($request->content, $options)
                : ImportFile::split($request->format, $request->content, $options);

        return $this->entities->wrapInTransaction(function () use ($request, $options, $entries, $starter): int {
            // A coach has one import: the previous one was abandoned or is done.
            $this->entities->createQuery('DELETE FROM '.ImportRun::class.' i WHERE i.starter = :starter')
                ->setParameter('starter', $starter)->execute();
            $import = new ImportRun(
                $request->format,
                $options,
                \count($entries),
                $this->accounts->managed($starter),
                $this->clock->now(),
            );
            $this->entities->persist($import);
            $this->entities->flush();
            $this->lines->store($import->id(), $entries);

            return $import->id();
        });
    }

    /** Has it read on, by a worker or for a while here; for as long as somebody waits for it. */
    public function proceed(int $id): void
    {
        $this->workers->proceed(
            new ReadImport($id),
            fn (): bool => $this->entities->wrapInTransaction(function () use ($id): bool {
                $import = $this->hold($id);
                $now = $this->clock->now();
                $isLeft = ImportState::Reading === $import->state() && $import->isLeft($now);
                if ($isLeft) {
                    $import->proceeded($now);
                }

                return $isLeft;
            }),
        );
    }

    #[AsMessageHandler]
    public function read(ReadImport $work): void
    {
        $this->advance($work->id, $work->seconds);
    }

    /** Continues reading for about that many seconds, at least one batch. */
    public function advance(int $id, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        do {
            $going = $this->entities->wrapInTransaction(fn (): bool => $this->step($id));
            // Entries that were read are not needed in memory.
            $this->entities->clear();
        } while ($going && microtime(true) < $until);
    }

    /** Reads one batch; a concurrent request waits for it and reads the next. @return bool whether there is more */
    private function step(int $id): bool
    {
        $import = $this->hold($id);
        if (ImportState::Reading !== $import->state()) {
            return false;
        }
        $lines = $this->some(
            $this->linesOf($import)
                ->andWhere('l.kind = :waiting')
                ->setParameter('waiting', LineKind::Waiting)
                ->setMaxResults(self::ENTRIES_PER_STEP),
        );
        $this->judge($import, $lines);
        $import->read(\count($lines));
        $import->proceeded($this->clock->now());

        return ImportState::Reading === $import->state();
    }

    /**
     * Applies everything or nothing. New combinations are stored before the lock is taken, invisible until the end, so
     * that other writes hardly wait.
     */
    public function apply(int $id, User $user): void
    {
        set_time_limit(300);
        $this->entities->wrapInTransaction(function () use ($id, $user): void {
            $import = $this->hold($id);
            if (ImportState::Applied === $import->state()) {
                return;
            }
            if (ImportState::Ready !== $import->state()) {
                throw new Conflict('not-ready', t('The file is still being read. Wait, then import.'));
            }
            [$new, $numbers, $changed, $held] = [[], [], [], []];
            foreach ($this->comingIn($import) as $line) {
                $draft = $this->drafts->fromContent(
                    $line->content() ?? throw new \LogicException('What comes in was read.'),
                );
                if (LineKind::Changed === $line->kind()) {
                    $changed[] = [$line, $draft];
                } else {
                    $set = $draft->content->rules;
                    $held[$set] ??= $this->rules->locked($set);
                    $checked = $this->library->checked($draft, $held[$set]);
                    $new[] = new NewCombination($draft->content, $checked, $line->isArchived());
                    $numbers[] = $line->number();
                }
            }
            try {
                $ids = $this->inserter->create($new, $user->person());
            } catch (UniqueConstraintViolationException) {
                $this->refuseWhatCame($new);
                throw new Conflict(
                    'already-there',
                    t('A chain of this file was added to the library meanwhile. Read the file again.'),
                );
            }
            $this->lines->became($import->id(), array_combine($numbers, $ids));
            $this->library->write(function () use ($import, $user, $new, $changed): void {
                foreach ($changed as [$line, $draft]) {
                    $this->library->update(
                        (int) $line->combination(),
                        (int) $line->version(),
                        $draft,
                        $user,
                        VersionChange::Imported,
                    );
                }
                $this->audit->add(
                    $user->id(),
                    'library.imported',
                    t('imported a file: {count} new, {count2} changed', count: \count($new), count2: \count($changed)),
                );
                $import->setState(ImportState::Applied);
            });
        });
    }

    /**
     * Undoes an import: what it added is archived, and what it changed is restored. Combinations that somebody has
     * changed since are kept.
     *
     * @return list<string> the names of what stays
     */
    public function undo(int $id, User $user): array
    {
        set_time_limit(300);

        return $this->entities->wrapInTransaction(function () use ($id, $user): array {
            $import = $this->hold($id);
            if (ImportState::Applied !== $import->state()) {
                throw new Conflict('not-applied', t('This import was not applied, so there is nothing to undo.'));
            }
            $lines = array_filter(
                array_reverse($this->comingIn($import)),
                static fn (ImportLine $line): bool => null !== $line->combination(),
            );

            return $this->library->write(function () use ($lines, $import, $user): array {
                $stays = [];
                foreach ($lines as $line) {
                    $combination = (int) $line->combination();
                    $summary = $this->table->summaries([$combination])[0] ?? null;
                    $before = LineKind::New === $line->kind() ? 0 : (int) $line->version();
                    if (null === $summary || $summary->version !== $before + 1) {
                        $stays[] = $summary->content->name ?? '';
                    } elseif (LineKind::Changed === $line->kind()) {
                        $this->library->restoreVersion($combination, $summary->version, $before, $user);
                    } elseif (null === $summary->archivedAt) {
                        $this->library->archive($combination, $summary->version, $user);
                    }
                }
                $this->audit->add(
                    $user->id(),
                    'library.import-undone',
                    t(
                        'undid an import: {count} of {count2}',
                        count: \count($lines) - \count($stays),
                        count2: \count($lines),
                    ),
                );
                $import->setState(ImportState::Undone);

                return array_values(array_filter($stays, static fn (string $name): bool => '' !== $name));
            });
        });
    }

    /** Replaces the chain or name of one entry, or skips it, and decides again what it would do. */
    public function edit(int $id, int $number, LineRequest $request): void
    {
        $this->entities->wrapInTransaction(function () use ($id, $number, $request): void {
            $import = $this->hold($id);
            if (ImportState::Ready !== $import->state()) {
                throw new Conflict(
                    'not-ready',
                    t('Entries can be changed once the file is read to the end, and before it is imported.'),
                );
            }
            $line = $this->entities->find(ImportLine::class, ['import' => $import, 'number' => $number])
                ?? throw new NotFound(t('There is no such entry in this file.'));
            if ($request->leaveOut) {
                $line->leaveOut();
                $this->entities->persist($line);

                return;
            }
            $line->replace(self::edited($line, $import->options(), $request));
            $this->entities->persist($line);
            $this->entities->flush();
            $this->judge($import, [$line]);
        });
    }

    public function state(int $id): ImportProgress
    {
        $import = $this->get($id);
        /** @var list<array{kind: LineKind, times: int}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT l.kind, COUNT(l.number) AS times FROM '
                    .ImportLine::class
                    .' l WHERE l.import = :import AND l.kind <> :waiting GROUP BY l.kind',
            )
            ->setParameter('import', $import)
            ->setParameter('waiting', LineKind::Waiting)
            ->getResult();
        $counts = [];
        foreach ($rows as $row) {
            $counts[$row['kind']->value] = $row['times'];
        }

        return new ImportProgress($id, $import->state(), $import->total(), $import->done(), (object) $counts);
    }

    /**
     * @param LineKind|null $kind all that were read when null
     *
     * @return list<ImportLine> a page of what was read so far
     */
    public function lines(int $id, ?LineKind $kind, int $page, int $size): array
    {
        $lines = $this->linesOf($id)->andWhere('l.kind <> :waiting')->setParameter('waiting', LineKind::Waiting)
            ->setFirstResult(($page - 1) * $size)->setMaxResults($size);
        if (null !== $kind) {
            $lines->andWhere('l.kind = :kind')->setParameter('kind', $kind);
        }

        return $this->some($lines);
    }

    /** @param list<ImportLine> $lines */
    private function judge(ImportRun $import, array $lines): void
    {
        $entries = [];
        foreach ($lines as $line) {
            $entries[$line->number()] = $line->entry() ?? throw new \LogicException('What waits was not read.');
        }
        $this->lines->judge($import->id(), $this->judge->judge($import->id(), $entries));
    }

    private static function edited(ImportLine $line, ImportOptions $options, LineRequest $request): ImportEntry
    {
        $before = $line->content();
        // A typed chain uses the numbering of the file; one that was read is stored in parity numbers.
        $isNew = null !== $request->chain || null === $before;

        return new ImportEntry($line->number(), $line->source(), [
            'name' => $request->name ?? $before->name ?? '',
            'chain' => $request->chain ?? $before->notation ?? '',
            'numbering' => $isNew ? $options->numbering : 'parity',
            'stance' => ($before->stance ?? $options->stance)->value,
            'rules' => $before->rules ?? $options->rules ?? '',
            'themes' => $before->themes ?? [],
            'level' => true === $before?->levelChosen ? $before->level : null,
            'note' => $before->note ?? '',
            'archived' => $line->isArchived(),
        ]);
    }

    /** @return list<ImportLine> what does something to the library */
    private function comingIn(ImportRun $import): array
    {
        return $this->some($this->linesOf($import)->andWhere('l.kind IN (:kinds)')->setParameter(
            'kinds',
            [LineKind::New, LineKind::Changed],
        ));
    }

    /** @param ImportRun|int $import itself or its id */
    private function linesOf(ImportRun|int $import): QueryBuilder
    {
        return $this->entities->createQueryBuilder()->select('l')->from(ImportLine::class, 'l')
            ->where('l.import = :import')->setParameter('import', $import)->orderBy('l.number');
    }

    /** @return list<ImportLine> */
    private function some(QueryBuilder $lines): array
    {
        /** @var list<ImportLine> $list */
        $list = $lines->getQuery()->getResult();

        return $list;
    }

    private function get(int $id): ImportRun
    {
        return self::found($this->entities->find(ImportRun::class, $id));
    }

    private function hold(int $id): ImportRun
    {
        return self::found($this->versions->hold(ImportRun::class, $id));
    }

    private static function found(?ImportRun $import): ImportRun
    {
        return $import ?? throw new NotFound(t('This import no longer exists. Start it again.'));
    }

    /**
     * Rejects entries that were added to the library after the file was read.
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
}
