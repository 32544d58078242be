<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;
use Symfony\Component\Security\Core\User\UserInterface;

use function Periplus\Core\Language\t;

/**
 * Writes the log of everything that changed the library or the gym: who, when, what. It is written in the transaction
 * of the change.
 *
 * @extends ServiceEntityRepository<AuditEntry>
 */
final class AuditLog extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly ClockInterface $clock)
    {
        parent::__construct($registry, AuditEntry::class);
    }

    /**
     * @param int|null $user id of who did it; null without a sign-in
     * @param string $what stable, such as "combination.updated"
     * @param string $says what was done, to be read after the name of who did it
     * @param string|null $subject what it was done to, such as "combination/12"
     * @param array<string, mixed>|null $before what an {@see UndoesChange} needs to undo it
     */
    public function add(
        ?int $user,
        string $what,
        string $says,
        ?string $subject = null,
        ?array $before = null,
    ): void {
        $entities = $this->getEntityManager();
        $by = null === $user ? null : $entities->getReference(UserInterface::class, $user);
        $entities->persist(new AuditEntry($this->clock->now(), $by, $what, $says, $subject, $before));
        // Inside a transaction it is flushed with everything else.
        if (!$entities->getConnection()->isTransactionActive()) {
            $entities->flush();
        }
    }

    /** Writes an event that anybody can cause without signing in, at most once in that many seconds. */
    public function addOnce(string $what, string $says, int $seconds): void
    {
        $written = $this->createQueryBuilder('e')
            ->select('COUNT(e.id)')
            ->where('e.what = :what AND e.says = :says AND e.createdAt > :since')
            ->setParameter('what', $what)
            ->setParameter('says', $says)
            ->setParameter('since', $this->clock->now()->modify('-'.$seconds.' seconds'))
            ->getQuery()->getSingleScalarResult();
        if (0 === $written) {
            $this->add(null, $what, $says);
        }
    }

    /**
     * @param string $what the first part of what was done; without it everything but who signed in and when, which
     *                     would crowd out the rest
     */
    public function page(int $page, int $size, string $what = ''): AuditPage
    {
        /** @var list<AuditRow> $entries */
        $entries = $this->about($what)
            ->select(\sprintf(
                'NEW %s(e.id, e.createdAt, u.name, e.what, e.says, e.subject, e.before)',
                AuditRow::class,
            ))
            ->leftJoin('e.user', 'u')
            ->orderBy('e.id', 'DESC')
            ->setFirstResult(($page - 1) * $size)->setMaxResults($size)
            ->getQuery()->getResult();

        return new AuditPage(
            $entries,
            (int) $this->about($what)->select('COUNT(e.id)')->getQuery()->getSingleScalarResult(),
        );
    }

    /** @throws NotFound */
    public function get(int $id): AuditEntry
    {
        return $this->find($id) ?? throw new NotFound(t('There is no such entry in the audit log.'));
    }

    /** Tells whether the same was changed again after an entry. */
    public function isOutdated(int $id, string $what): bool
    {
        return 0 < (int) $this->createQueryBuilder('e')
            ->select('COUNT(e.id)')
            ->where('e.what = :what AND e.id > :id AND e.before IS NOT NULL')
            ->setParameter('what', $what)
            ->setParameter('id', $id)
            ->getQuery()->getSingleScalarResult();
    }

    private function about(string $what): QueryBuilder
    {
        $about = $this->createQueryBuilder('e');

        return '' === $what
            ? $about->where("e.what NOT LIKE 'sign-in.%'")
            : $about->where('e.what LIKE :what')->setParameter('what', addcslashes($what, '%_\\').'.%');
    }
}
