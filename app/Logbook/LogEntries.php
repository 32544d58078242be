<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Plan\PlanRow;
use Periplus\App\Store\NotFound;

use function Periplus\Core\Language\t;

/**
 * Finds logbook entries together with the work in them.
 *
 * @extends ServiceEntityRepository<LogEntry>
 */
final class LogEntries extends ServiceEntityRepository implements HasQuota
{
    public const MISSING = 'There is no such entry in the logbook.';
    private const LIMIT = 100_000;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, LogEntry::class);
    }

    /** @throws NotFound */
    public function get(int $id): LogEntry
    {
        return $this->find($id) ?? throw new NotFound(self::MISSING);
    }

    public function withKey(string $key): ?LogEntry
    {
        return $this->findOneBy(['key' => $key]);
    }

    public function page(?int $course, bool $unchecked, bool $removed, int $page, int $size): LogPage
    {
        $entries = $this->createQueryBuilder('e')->where($removed ? 'e.removedAt IS NOT NULL' : 'e.removedAt IS NULL');
        if (null !== $course) {
            $entries->andWhere('e.course = :course')->setParameter('course', $course);
        }
        if ($unchecked) {
            $entries->andWhere('e.isChecked = false');
        }
        $total = (int) (clone $entries)->select('COUNT(e.id)')->getQuery()->getSingleScalarResult();
        /** @var list<LogRow> $rows */
        $rows = $entries
            ->leftJoin('e.course', 'co')
            ->select(
                \sprintf(
                    'NEW %s(e.id, e.version, IDENTITY(e.run), IDENTITY(e.plan), co.id, co.name, e.name, e.day, '
                        .'e.lengthMs, e.workMs, IDENTITY(e.coach), e.coachName, e.orthodox, e.southpaw, e.levels, '
                        .'e.effort, e.note, e.isChecked, e.removedAt)',
                    LogRow::class,
                ),
            )
            ->orderBy('e.day', 'DESC')
            ->addOrderBy('e.id', 'DESC')
            ->setFirstResult(($page - 1) * $size)
            ->setMaxResults($size)
            ->getQuery()
            ->getResult();

        return new LogPage($this->withContents($rows), $total);
    }

    /** @return list<LogEntry> of some days, the earliest first */
    public function between(string $from, string $to): array
    {
        return $this->whole($this->earliestFirst()->andWhere('e.day BETWEEN :from AND :to')
            ->setParameter('from', $from)->setParameter('to', $to));
    }

    /** @return list<LogEntry> those after that day and id, by both */
    public function after(string $day, int $id, int $most): array
    {
        return $this->whole($this->earliestFirst()->andWhere('e.day > :day OR (e.day = :day AND e.id > :id)')
            ->setParameter('day', $day)->setParameter('id', $id)->setMaxResults($most));
    }

    /** Returns the number of entries that no coach has checked. */
    public function countUnchecked(): int
    {
        return $this->count(['removedAt' => null, 'isChecked' => false]);
    }

    /**
     * Returns which of the keys are in the logbook already.
     *
     * @param list<string> $keys
     *
     * @return array<string, true>
     */
    public function known(array $keys): array
    {
        /** @var list<string> $known */
        $known = $this->createQueryBuilder('e')->select('e.key')->where('e.key IN (:keys)')->setParameter('keys', $keys)
            ->getQuery()->getSingleColumnResult();

        return array_fill_keys($known, true);
    }

    /**
     * @param list<int> $runs
     *
     * @return list<int> those that have an entry
     */
    public function ofRuns(array $runs): array
    {
        if ([] === $runs) {
            return [];
        }
        /** @var list<int> $known */
        $known = $this->createQueryBuilder('e')->select('r.id')->join('e.run', 'r')
            ->where('r.id IN (:runs)')->setParameter('runs', $runs)
            ->getQuery()->getSingleColumnResult();

        return $known;
    }

    /**
     * @param list<int> $combinations
     *
     * @return array<int, string|null> the last day on which each was drilled
     */
    public function lastDays(array $combinations): array
    {
        /** @var list<array{combination: int, day: string}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery(
                'SELECT c.combination, MAX(c.key.day) AS day FROM '
                    .LogCombination::class
                    .' c WHERE c.combination IN (:ids) AND c.key.counts = true GROUP BY c.combination',
            )
            ->setParameter('ids', $combinations)
            ->getResult();

        return array_replace(array_fill_keys($combinations, null), array_column($rows, 'day', 'combination'));
    }

    /** Returns the entry of a planned session; null when it is not logged. */
    public function ofPlan(int $plan): ?LogEntry
    {
        return $this->findOneBy(['plan' => $plan, 'removedAt' => null]);
    }

    /**
     * Returns the entries of planned sessions: their own, or one of their course and day without a plan.
     *
     * @param list<PlanRow> $plans that have a start
     *
     * @return array<int, LogEntry> by the id of the plan
     */
    public function ofPlans(array $plans, \DateTimeZone $zone): array
    {
        $days = [];
        foreach ($plans as $plan) {
            $days[$plan->id] = (string) $plan->startsAt?->setTimezone($zone)->format('Y-m-d');
        }
        $own = $onDay = [];
        $found = [] === $plans ? [] : $this->whole(
            $this->earliestFirst()->andWhere('e.plan IN (:plans) OR (e.plan IS NULL AND e.day IN (:days))')
                ->setParameter('plans', array_keys($days))->setParameter('days', array_values($days)),
        );
        foreach ($found as $entry) {
            $plan = $entry->plan()?->id();
            if (null !== $plan) {
                $own[$plan] = $entry;
            } else {
                $onDay[$entry->day().' '.$entry->course()?->id()] = $entry;
            }
        }
        $entries = [];
        foreach ($plans as $plan) {
            $entry = $own[$plan->id]
                ?? (null === $plan->course ? null : $onDay[$days[$plan->id].' '.$plan->course] ?? null);
            if (null !== $entry) {
                $entries[$plan->id] = $entry;
            }
        }

        return $entries;
    }

    /**
     * Returns which planned sessions are logged: by their own entry, or by one of their course and day without a plan.
     *
     * @param list<PlanRow> $plans that have a start
     *
     * @return list<int>
     */
    public function logged(array $plans, \DateTimeZone $zone): array
    {
        $dayOf = static fn (PlanRow $plan): string => (string) $plan->startsAt?->setTimezone($zone)->format('Y-m-d');
        if ([] === $plans) {
            return [];
        }
        /** @var list<array{plan: int|string|null, course: int|string|null, day: string}> $entries */
        $entries = $this->createQueryBuilder('e')
            ->select('IDENTITY(e.plan) AS plan, IDENTITY(e.course) AS course, e.day AS day')
            ->where('e.removedAt IS NULL AND (e.plan IN (:plans) OR e.day IN (:days))')
            ->setParameter('plans', array_column($plans, 'id'))
            ->setParameter('days', array_map($dayOf, $plans))
            ->getQuery()->getArrayResult();
        $days = array_map(
            static fn (array $entry): string => $entry['day'].' '.$entry['course'],
            array_filter($entries, static fn (array $entry): bool => null === $entry['plan']),
        );
        $own = array_map(static fn (array $entry): int => (int) $entry['plan'], $entries);

        return array_values(array_map(
            static fn (PlanRow $plan): int => $plan->id,
            array_filter($plans, static fn (PlanRow $plan): bool => \in_array($plan->id, $own, true)
                || (null !== $plan->course && \in_array($dayOf($plan).' '.$plan->course, $days, true))),
        ));
    }

    public function quota(): Quota
    {
        return new Quota(t('logbook entries'), $this->count(), self::LIMIT);
    }

    /**
     * @param list<LogRow> $rows
     *
     * @return list<LogRow> with what was drilled and how much fell apart, in two queries for all of them
     */
    private function withContents(array $rows): array
    {
        $ids = array_column($rows, 'id');
        /** @var list<array{entry: int, name: string}> $drilled */
        $drilled = $this->getEntityManager()
            ->createQuery(
                'SELECT IDENTITY(d.entry) AS entry, d.row.name AS name FROM '
                    .LogDrilled::class
                    ." d WHERE d.entry IN (:ids) AND d.row.name <> '' ORDER BY d.entry, d.position",
            )
            ->setParameter('ids', $ids)
            ->getResult();
        $names = [];
        foreach ($drilled as $one) {
            $names[$one['entry']][$one['name']] = true;
        }
        /** @var list<array{entry: int, fell: int}> $fallen */
        $fallen = $this->getEntityManager()
            ->createQuery(
                'SELECT IDENTITY(f.entry) AS entry, COUNT(f.position) AS fell FROM '
                    .LogFallenLink::class
                    .' f WHERE f.entry IN (:ids) GROUP BY f.entry',
            )
            ->setParameter('ids', $ids)
            ->getResult();
        $fell = array_column($fallen, 'fell', 'entry');

        return array_map(static fn (LogRow $row): LogRow => $row->with(
            array_map(strval(...), array_keys($names[$row->id] ?? [])),
            $fell[$row->id] ?? 0,
        ), $rows);
    }

    private function earliestFirst(): QueryBuilder
    {
        return $this->createQueryBuilder('e')->where('e.removedAt IS NULL')->orderBy('e.day')->addOrderBy('e.id');
    }

    /**
     * Loads entries with their courses, and their rows in one query for each kind.
     *
     * @return list<LogEntry>
     */
    private function whole(QueryBuilder $entries): array
    {
        /** @var list<LogEntry> $list */
        $list = $entries->addSelect('co')->leftJoin('e.course', 'co')->getQuery()->getResult();
        foreach ([] === $list ? [] : ['drilled', 'fallen'] as $rows) {
            $this->createQueryBuilder('e')->addSelect('r')->leftJoin('e.'.$rows, 'r', indexBy: 'r.position')
                ->where('e IN (:entries)')->setParameter('entries', $list)
                ->orderBy('e.id')->addOrderBy('r.position')->getQuery()->getResult();
        }

        return $list;
    }
}
