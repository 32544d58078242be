<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds and stores the gyms of other installations whose offers are read.
 *
 * @extends ServiceEntityRepository<FollowedGym>
 */
final class FollowedGyms extends ServiceEntityRepository implements HasQuota
{
    private const LIMIT = 30;

    public function __construct(
        ManagerRegistry $registry,
        private readonly OfferReader $reader,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, FollowedGym::class);
    }

    public function quota(): Quota
    {
        return new Quota(t('gyms whose offers are read'), $this->count([]), self::LIMIT);
    }

    /** @return list<FollowedGym> by name */
    public function all(): array
    {
        return $this->findBy([], ['name' => 'ASC', 'id' => 'ASC']);
    }

    /** @throws Refused when there is nothing to read under the address */
    public function follow(string $address, User $coach): FollowedGym
    {
        $this->quota()->require();
        if (0 < $this->count(['address' => $address])) {
            throw new Conflict('followed-already', t('The offers under this link are read already.'));
        }
        $read =
            $this->reader->fetch($address, null) ?? throw new \LogicException('Without an ETag there is an answer.');

        return $this->getEntityManager()->wrapInTransaction(function () use ($address, $coach, $read): FollowedGym {
            $gym = new FollowedGym($address, $this->accounts->managed($coach), $read, $this->clock->now());
            $this->getEntityManager()->persist($gym);
            $this->audit->add(
                $coach->id(),
                'offer-link.followed',
                t('began to read the offers of {gym}', gym: $gym->name()),
                'sharing',
            );

            return $gym;
        });
    }

    /** Reads its offers again. When that fails the gym says why, and what was read before stays. */
    public function readAgain(int $id): void
    {
        $gym = $this->get($id);
        try {
            $read = $this->reader->fetch($gym->address(), $gym->etag());
            null === $read ? $gym->unchanged($this->clock->now()) : $gym->found($read, $this->clock->now());
        } catch (Refused $problem) {
            $gym->failed($problem->getMessage());
        }
        $this->getEntityManager()->flush();
    }

    public function unfollow(int $id, User $coach): void
    {
        $gym = $this->get($id);
        $this->getEntityManager()->remove($gym);
        $this->audit->add(
            $coach->id(),
            'offer-link.unfollowed',
            t('no longer reads the offers of {gym}', gym: $gym->name()),
            'sharing',
        );
        $this->getEntityManager()->flush();
    }

    /** @throws NotFound */
    private function get(int $id): FollowedGym
    {
        return $this->find($id) ?? throw new NotFound(t('The offers of this gym are not read here.'));
    }
}
