<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\Core\Session\Load\Figures;

/**
 * The sums of each week and course, so that a report over years reads hundreds of rows and not all entries. They are
 * recomputed at every write, in its transaction.
 *
 * @extends ServiceEntityRepository<LogWeek>
 */
final class Weeks extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, LogWeek::class);
    }

    /** Returns the Monday of the week of a day. */
    public static function mondayOf(string $day): string
    {
        return (new \DateTimeImmutable($day))->modify('monday this week')->format('Y-m-d');
    }

    /** Recomputes the week of that day and course from the stored entries. */
    public function recount(string $day, ?int $course): void
    {
        $week = self::mondayOf($day);
        $last = (new \DateTimeImmutable($week))->modify('+6 days')->format('Y-m-d');
        $sum = $this->sum($this->entries($week, $last, $course));
        $known = $this->find(['week' => $week, 'course' => $course ?? 0]);
        if (0 === $sum->sessions) {
            $this->remove($known);
        } elseif (null === $known) {
            $this->getEntityManager()->persist(new LogWeek($week, $course ?? 0, $sum));
        } else {
            $known->update($sum);
        }
        $this->getEntityManager()->flush();
    }

    /** Recomputes all weeks, after a restore or a large import. */
    public function recountAll(): void
    {
        $this->getEntityManager()->createQuery('DELETE FROM '.LogWeek::class)->execute();
        $this->getEntityManager()->clear();
        /** @var list<array{day: string, course: int|null}> $days */
        $days = $this->getEntityManager()
            ->createQuery(
                'SELECT DISTINCT e.day, IDENTITY(e.course) AS course FROM '
                    .LogEntry::class
                    .' e WHERE e.removedAt IS NULL',
            )
            ->getResult();
        $weeks = [];
        foreach ($days as $row) {
            $course = $row['course'];
            $weeks[self::mondayOf($row['day']).' '.$course] = [$row['day'], $course];
        }
        foreach ($weeks as [$day, $course]) {
            $this->recount($day, $course);
        }
    }

    /**
     * @param bool $withFigures whether more is asked for than how many sessions there were and how long
     *
     * @return array<string, SessionSum> of those with a session, by their Monday, in order; all courses together when
     *                                   none is named
     */
    public function between(string $from, string $to, ?int $course, bool $withFigures = true): array
    {
        $weeks = $this->createQueryBuilder('w')->where('w.week BETWEEN :from AND :to')
            ->setParameter('from', self::mondayOf($from))->setParameter('to', $to)->orderBy('w.week');
        if (null !== $course) {
            $weeks->andWhere('w.course = :course')->setParameter('course', $course);
        }
        // Plain values instead of entities: ten years of several courses have thousands of rows.
        /** @var list<array{week: string, sessions: int, workMs: int, figures?: Figures}> $rows */
        $rows = $weeks->select('w.week', 'w.sessions', 'w.workMs', ...($withFigures ? ['w.figures'] : []))
            ->getQuery()->getResult();
        $parts = [];
        foreach ($rows as $row) {
            $parts[$row['week']][] = new SessionSum($row['sessions'], $row['workMs'], $row['figures'] ?? null);
        }

        return array_map(SessionSum::of(...), $parts);
    }

    /** Returns the sums over a range of days; of all courses when none is given. */
    public function days(string $from, string $to, ?int $course): SessionSum
    {
        return $this->sum(null === $course ? $this->present($from, $to) : $this->entries($from, $to, $course));
    }

    private function remove(?LogWeek $week): void
    {
        if (null !== $week) {
            $this->getEntityManager()->remove($week);
        }
    }

    /** Returns the entries of one course, or those without a course. */
    private function entries(string $from, string $to, ?int $course): QueryBuilder
    {
        $entries = $this->present($from, $to);

        return null === $course
            ? $entries->andWhere('e.course IS NULL')
            : $entries->andWhere('e.course = :course')->setParameter('course', $course);
    }

    private function present(string $from, string $to): QueryBuilder
    {
        return $this->getEntityManager()->createQueryBuilder()->select('e.workMs', 'e.figures')
            ->from(LogEntry::class, 'e')->where('e.removedAt IS NULL AND e.day BETWEEN :from AND :to')
            ->setParameter('from', $from)->setParameter('to', $to)->orderBy('e.id');
    }

    private function sum(QueryBuilder $entries): SessionSum
    {
        /** @var list<array{workMs: int, figures: Figures}> $rows */
        $rows = $entries->getQuery()->getResult();

        return SessionSum::of(array_map(
            static fn (array $row): SessionSum => new SessionSum(1, $row['workMs'], $row['figures']),
            $rows,
        ));
    }
}
