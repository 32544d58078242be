<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds session plans. Lists do not read contents.
 *
 * @extends ServiceEntityRepository<Plan>
 */
final class Plans extends ServiceEntityRepository implements HasQuota
{
    public const MISSING = 'There is no such session.';
    private const LIMIT = 10_000;
    /** Maximum number of rows of a list, and of plans without a date. */
    private const MAX_LISTED = 500;
    private const MAX_UNDATED = 100;

    public function __construct(
        ManagerRegistry $registry,
        private readonly GymSettings $gym,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Plan::class);
    }

    /**
     * Returns the plans that start on these days, in order.
     *
     * @param string|null $from day such as 2026-11-23, in the time of the gym; all when null
     * @param string|null $to the last day
     *
     * @return list<PlanRow>
     */
    public function between(?string $from, ?string $to, ?int $course = null): array
    {
        $plans = $this->sessions()->andWhere('p.startsAt IS NOT NULL')->orderBy('p.startsAt')->addOrderBy('p.id');
        if (null !== $from) {
            $plans->andWhere('p.startsAt >= :from')->setParameter('from', $this->moment($from, 'T00:00'));
        }
        if (null !== $to) {
            $plans->andWhere('p.startsAt <= :to')->setParameter('to', $this->moment($to, 'T23:59'));
        }
        if (null !== $course) {
            $plans->andWhere('p.course = :course')->setParameter('course', $course);
        }

        return $this->rows($plans, self::MAX_LISTED);
    }

    /** @return list<PlanRow> without a date, the last changed first */
    public function undated(): array
    {
        $plans = $this->sessions()
            ->andWhere('p.startsAt IS NULL')
            ->orderBy('p.updatedAt', 'DESC')
            ->addOrderBy('p.id', 'DESC');

        return $this->rows($plans, self::MAX_UNDATED);
    }

    /** @return list<PlanRow> by name */
    public function templates(): array
    {
        $plans = $this->createQueryBuilder('p')->where('p.archivedAt IS NULL AND p.isTemplate = true')
            ->orderBy('p.name')->addOrderBy('p.id');

        return $this->rows($plans, self::MAX_LISTED);
    }

    /** @return list<PlanRow> all with a start from four weeks ago on, archived ones among them */
    public function forCalendar(?int $course): array
    {
        $plans = $this->createQueryBuilder('p')->where('p.isTemplate = false AND p.startsAt >= :since')
            ->setParameter('since', $this->clock->now()->modify('-28 days'))
            ->orderBy('p.startsAt')->addOrderBy('p.id');
        if (null !== $course) {
            $plans->andWhere('p.course = :course')->setParameter('course', $course);
        }

        return $this->rows($plans, self::MAX_LISTED);
    }

    /** @return list<Plan> the last ones of a course that have started by now, the newest first */
    public function past(int $course, int $most): array
    {
        /** @var list<Plan> $past */
        $past = $this->sessions()->andWhere('p.course = :course AND p.startsAt <= :now')
            ->setParameter('course', $course)->setParameter('now', $this->clock->now())
            ->orderBy('p.startsAt', 'DESC')->addOrderBy('p.id', 'DESC')
            ->setMaxResults($most)->getQuery()->getResult();

        return $past;
    }

    /**
     * Returns the contents of sessions that start within so many days of now, earliest first.
     *
     * @return list<array<mixed>>
     */
    public function contentsAround(int $days, int $most): array
    {
        /** @var list<array{content: array<mixed>}> $rows */
        $rows = $this->sessions()->select('p.content')->andWhere('p.startsAt BETWEEN :from AND :to')
            ->setParameter('from', $this->clock->now()->modify("-$days days"))
            ->setParameter('to', $this->clock->now()->modify("+$days days"))
            ->orderBy('p.startsAt')->addOrderBy('p.id')
            ->setMaxResults($most)->getQuery()->getResult();

        return array_column($rows, 'content');
    }

    /**
     * Returns what the sessions of these days plan.
     *
     * @param string $from day such as 2026-11-23, in the time of the gym; $to as well
     *
     * @return list<array<mixed>>
     */
    public function contentsBetween(string $from, string $to, int $most): array
    {
        /** @var list<array{content: array<mixed>}> $rows */
        $rows = $this->sessions()->select('p.content')->andWhere('p.startsAt BETWEEN :from AND :to')
            ->setParameter('from', $this->moment($from, 'T00:00'))
            ->setParameter('to', $this->moment($to, 'T23:59'))
            ->orderBy('p.startsAt')->addOrderBy('p.id')
            ->setMaxResults($most)->getQuery()->getResult();

        return array_column($rows, 'content');
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, array<mixed>> the written plans by their id
     */
    public function contents(array $ids): array
    {
        /** @var list<array{id: int, content: array<mixed>}> $rows */
        $rows = $this->createQueryBuilder('p')->select('p.id, p.content')->where('p.id IN (:ids)')
            ->setParameter('ids', $ids)->getQuery()->getResult();

        return array_column($rows, 'content', 'id');
    }

    /** @throws NotFound */
    public function get(int $id): Plan
    {
        /** @var Plan|null $plan */
        $plan = $this->createQueryBuilder('p')->addSelect('c, a, e')
            ->leftJoin('p.course', 'c')->join('p.author', 'a')->join('p.editor', 'e')
            ->where('p.id = :id')->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $plan ?? throw new NotFound(self::MISSING);
    }

    public function quota(): Quota
    {
        return new Quota(t('plans'), $this->count(), self::LIMIT);
    }

    /** @return list<PlanVersion> the newest first */
    public function versions(int $id): array
    {
        /** @var list<PlanVersion> $versions */
        $versions = $this->getEntityManager()
            ->createQuery(
                'SELECT v, e FROM '
                    .PlanVersion::class
                    .' v JOIN v.editor e WHERE v.plan = :plan ORDER BY v.version DESC',
            )
            ->setParameter('plan', $this->get($id))
            ->setMaxResults(self::MAX_LISTED)
            ->getResult();

        return $versions;
    }

    /** Returns the version alone, for a page that polls; null when the plan does not exist. */
    public function version(int $id): ?int
    {
        /** @var array{version: int}|null $row */
        $row = $this->createQueryBuilder('p')->select('p.version')
            ->where('p.id = :id')->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $row['version'] ?? null;
    }

    private function sessions(): QueryBuilder
    {
        return $this->createQueryBuilder('p')->where('p.archivedAt IS NULL AND p.isTemplate = false');
    }

    /** @return list<PlanRow> */
    private function rows(QueryBuilder $plans, int $most): array
    {
        /** @var list<PlanRow> $rows */
        $rows = $plans
            ->leftJoin('p.course', 'c')
            ->join('p.author', 'a')
            ->join('p.editor', 'e')
            ->select(
                \sprintf(
                    'NEW %s(p.id, p.version, p.name, c.id, c.name, p.isTemplate, p.startsAt, p.lengthMs, p.problems, '
                        .'a.id, a.name, e.id, e.name, p.updatedAt, p.archivedAt)',
                    PlanRow::class,
                ),
            )
            ->setMaxResults($most)
            ->getQuery()
            ->getResult();

        return $rows;
    }

    private function moment(string $day, string $time): \DateTimeImmutable
    {
        return $this->gym->moment($day.$time) ??
            throw new Invalid(t('"{day}" is not a day. Write it as 2026-11-26.', day: mb_strimwidth($day, 0, 20, '…')));
    }
}
