<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Gym\Quota;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds and stores what this gym offers to others.
 *
 * @extends ServiceEntityRepository<Offering>
 */
final class Offerings extends ServiceEntityRepository implements HasQuota
{
    private const LIMIT = 500;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Accounts $accounts,
        private readonly LibraryLock $lock,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Offering::class);
    }

    public function quota(): Quota
    {
        return new Quota(t('offers to other gyms'), $this->count([]), self::LIMIT);
    }

    /** @return list<Offering> in the order in which they were offered */
    public function all(): array
    {
        /** @var list<Offering> $all */
        $all = $this->createQueryBuilder('o')->addSelect('u')->join('o.user', 'u')->orderBy('o.id')
            ->getQuery()->getResult();

        return $all;
    }

    /** @return list<string> the subjects of one kind */
    public function subjects(OfferKind $kind): array
    {
        return array_map(
            static fn (Offering $one): string => $one->subject(),
            $this->findBy(['kind' => $kind], ['id' => 'ASC']),
        );
    }

    public function offering(OfferKind $kind, string $subject): ?Offering
    {
        return $this->findOneBy(['kind' => $kind, 'subject' => $subject]);
    }

    /** @param string $name of the subject, for the audit log */
    public function change(OfferingRequest $request, string $name, User $coach): void
    {
        $entities = $this->getEntityManager();
        $entities->wrapInTransaction(function () use ($entities, $request, $name, $coach): void {
            $this->lock->take();
            $offering = $this->offering($request->kind, $request->subject);
            if ($request->isOffered === (null !== $offering)) {
                return;
            }
            if (null !== $offering) {
                $entities->remove($offering);
            } else {
                $this->quota()->require();
                $entities->persist(new Offering(
                    $request->kind,
                    $request->subject,
                    $this->accounts->managed($coach),
                    $this->clock->now(),
                ));
            }
            $this->audit->add(
                $coach->id(),
                $request->isOffered ? 'offer.made' : 'offer.ended',
                $request->isOffered
                    ? t('offers other gyms {kind} “{name}”', kind: $request->kind->words(), name: $name)
                    : t('no longer offers other gyms {kind} “{name}”', kind: $request->kind->words(), name: $name),
                'sharing',
            );
        });
    }
}
