<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds running and ended sessions, with their commands and shown cues.
 *
 * @extends ServiceEntityRepository<Run>
 */
final class Runs extends ServiceEntityRepository implements HasQuota
{
    /** Time in ms after its end for which athletes may still see it. */
    private const FOLLOW_TIME_MS = 86_400_000;
    private const LIMIT = 10_000;
    /** Maximum number of ended sessions that are listed. */
    private const MAX_LISTED = 30;
    private const MISSING = 'There is no such session that runs.';

    public function __construct(ManagerRegistry $registry, private readonly ClockInterface $clock)
    {
        parent::__construct($registry, Run::class);
    }

    /** Returns the time in ms since 1970, which every screen synchronises with. */
    public function now(): int
    {
        return (int) $this->clock->now()->format('Uv');
    }

    /** @return list<RunView> those that were not ended, newest first */
    public function going(): array
    {
        return $this->views($this->newestFirst()->where('r.endedMs IS NULL'));
    }

    /** @return list<RunView> the last ones that ended, the newest first */
    public function ended(): array
    {
        return $this->views($this->newestFirst()->where('r.endedMs IS NOT NULL')->setMaxResults(self::MAX_LISTED));
    }

    /** @return list<RunView> all that ended after that moment, the earliest first */
    public function endedSince(int $ms): array
    {
        return $this->views($this->createQueryBuilder('r')->where('r.endedMs >= :since')->setParameter('since', $ms)
            ->orderBy('r.endedMs')->addOrderBy('r.id'));
    }

    /** @return list<int> the plans that were started after that moment, in ms since 1970 */
    public function plansStartedSince(int $ms): array
    {
        /** @var list<int> $plans */
        $plans = $this->createQueryBuilder('r')->select('DISTINCT IDENTITY(r.plan)')
            ->where('r.startedMs >= :since AND r.plan IS NOT NULL')->setParameter('since', $ms)
            ->getQuery()->getSingleColumnResult();

        return array_map(intval(...), $plans);
    }

    /** @throws NotFound */
    public function view(int $id): RunView
    {
        return $this->views($this->createQueryBuilder('r')->where('r.id = :id')->setParameter('id', $id))[0]
            ?? throw new NotFound(self::MISSING);
    }

    /** Returns the session that athletes follow with that key; null when there is none, or it ended long ago. */
    public function followed(string $key): ?RunView
    {
        return $this->views($this->createQueryBuilder('r')
            ->where('r.followKey = :key AND (r.endedMs IS NULL OR r.endedMs > :since)')
            ->setParameter('key', $key)->setParameter('since', $this->now() - self::FOLLOW_TIME_MS))[0] ?? null;
    }

    /** @throws NotFound */
    public function get(int $id): Run
    {
        return $this->find($id) ?? throw new NotFound(self::MISSING);
    }

    /** Returns the session, locked until the transaction ends, so that commands are applied one after the other. */
    public function hold(int $id): Run
    {
        return $this->find($id, LockMode::PESSIMISTIC_WRITE) ?? throw new NotFound(self::MISSING);
    }

    public function quota(): Quota
    {
        return new Quota(t('sessions run'), $this->count(), self::LIMIT);
    }

    /**
     * @return array<string, CommandTarget> what was done since a revision, and the command with that key whenever it
     *                                      was given, by their keys
     */
    public function commandsSince(Run $run, int $revision, string $key): array
    {
        /** @var list<CommandTarget> $commands */
        $commands = $this->getEntityManager()
            ->createQuery(
                \sprintf(
                    'SELECT NEW %s(c.key, c.kind, c.target) FROM %s c WHERE c.run = :run '
                        .'AND (c.revision > :revision OR c.key = :key)',
                    CommandTarget::class,
                    GivenCommand::class,
                ),
            )
            ->setParameter('run', $run)
            ->setParameter('revision', $revision)
            ->setParameter('key', $key)
            ->getResult();

        return array_column($commands, null, 'key');
    }

    /** @return list<GivenCommand> in their order, with who gave them */
    public function commands(int $run): array
    {
        /** @var list<GivenCommand> $commands */
        $commands = $this->getEntityManager()
            ->createQuery(
                'SELECT c, u, w FROM '
                    .GivenCommand::class
                    .' c LEFT JOIN c.user u LEFT JOIN c.wall w WHERE c.run = :run ORDER BY c.revision',
            )
            ->setParameter('run', $run)
            ->getResult();

        return $commands;
    }

    /** @return list<StoredAmendment> the changes of its programme, in their order */
    public function amendments(int $run): array
    {
        /** @var list<array{amendment: StoredAmendment}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery(
                'SELECT c.amendment FROM '
                    .GivenCommand::class
                    .' c WHERE c.run = :run AND c.amendment IS NOT NULL ORDER BY c.revision',
            )
            ->setParameter('run', $run)
            ->getResult();

        return array_column($rows, 'amendment');
    }

    /** Returns the time of its last command in ms, or of its start. */
    public function lastChange(Run $run): int
    {
        $last = $this->getEntityManager()
            ->createQuery('SELECT MAX(c.givenMs) FROM '.GivenCommand::class.' c WHERE c.run = :run')
            ->setParameter('run', $run)->getSingleScalarResult();

        return null === $last ? $run->startedMs() : (int) $last;
    }

    /** @return list<ShownRow> what was shown of it, by time */
    public function shown(int $run): array
    {
        /** @var list<ShownRow> $shown */
        $shown = $this->getEntityManager()
            ->createQuery(
                \sprintf(
                    'SELECT NEW %s(s.passage, s.cue, s.shownMs, w.name) FROM %s s LEFT JOIN s.wall w '
                        .'WHERE s.run = :run ORDER BY s.shownMs, s.cue',
                    ShownRow::class,
                    ShownCue::class,
                ),
            )
            ->setParameter('run', $run)
            ->getResult();

        return $shown;
    }

    public function countShown(Run $run): int
    {
        return $this->getEntityManager()->getRepository(ShownCue::class)->count(['run' => $run]);
    }

    /**
     * @param list<string> $cues
     *
     * @return array<string, true> what was shown of these, by passage and cue with a blank between them
     */
    public function shownOf(Run $run, array $cues): array
    {
        /** @var list<array{passage: string, cue: string}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery('SELECT s.passage, s.cue FROM '.ShownCue::class.' s WHERE s.run = :run AND s.cue IN (:cues)')
            ->setParameter('run', $run)->setParameter('cues', $cues)->getResult();

        return array_fill_keys(
            array_map(static fn (array $row): string => $row['passage'].' '.$row['cue'], $rows),
            true,
        );
    }

    /** @return list<string> the passages of which something was shown, and those that a command began */
    public function passages(Run $run): array
    {
        $passages = [];
        foreach (['s.passage) FROM '.ShownCue::class, 's.key) FROM '.GivenCommand::class] as $of) {
            /** @var list<string> $keys */
            $keys = $this->getEntityManager()->createQuery("SELECT DISTINCT($of s WHERE s.run = :run")
                ->setParameter('run', $run)->getSingleColumnResult();
            array_push($passages, ...$keys);
        }

        return $passages;
    }

    private function newestFirst(): QueryBuilder
    {
        return $this->createQueryBuilder('r')->orderBy('r.startedMs', 'DESC')->addOrderBy('r.id', 'DESC');
    }

    /** @return list<RunView> */
    private function views(QueryBuilder $runs): array
    {
        /** @var list<RunView> $views */
        $views = $runs
            ->leftJoin('r.plan', 'p')
            ->join('r.starter', 'u')
            ->select(
                \sprintf(
                    'NEW %s(r.id, p.id, r.name, r.state, r.revision, r.programme, r.lengthMs, r.followKey, u.id, '
                        .'u.name, r.startedMs, r.endedMs)',
                    RunView::class,
                ),
            )
            ->getQuery()
            ->getResult();

        return $views;
    }
}
