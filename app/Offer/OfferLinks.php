<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\EntityRepository;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Store\Gone;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/** Finds and stores the links under which other installations read what this gym offers. */
final readonly class OfferLinks implements HasQuota
{
    private const LIMIT = 50;

    public function __construct(
        private EntityManagerInterface $entities,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    public function quota(): Quota
    {
        return new Quota(t('links to offers'), $this->links()->count(['revokedAt' => null]), self::LIMIT);
    }

    /** @return list<OfferLink> those that open, the newest first */
    public function open(): array
    {
        return $this->links()->findBy(['revokedAt' => null], ['id' => 'DESC']);
    }

    public function create(OfferLinkRequest $request, User $creator): OfferLink
    {
        $this->quota()->require();

        return $this->entities->wrapInTransaction(function () use ($request, $creator): OfferLink {
            $link = new OfferLink(trim($request->name), $this->accounts->managed($creator), $this->clock->now());
            $this->entities->persist($link);
            $this->audit->add(
                $creator->id(),
                'offer-link.created',
                t('made a link to the offers of this gym, for {name}', name: $link->name()),
                'sharing',
            );

            return $link;
        });
    }

    /** @throws NotFound */
    public function revoke(int $id, User $coach): void
    {
        $link = $this->links()->find($id) ?? throw new NotFound(t('There is no such link.'));
        if (!$link->isRevoked()) {
            $link->revoke($this->clock->now());
            $this->audit->add(
                $coach->id(),
                'offer-link.revoked',
                t('revoked the link to the offers of this gym, for {name}', name: $link->name()),
                'sharing',
            );
        }
    }

    /** @throws Gone when the key opens nothing, or nothing any more */
    public function requireOpen(string $key): void
    {
        if (0 === $this->links()->count(['key' => $key, 'revokedAt' => null])) {
            throw new Gone(t('This link is not valid, or no longer. Ask the gym for a new one.'));
        }
    }

    /** @return EntityRepository<OfferLink> */
    private function links(): EntityRepository
    {
        return $this->entities->getRepository(OfferLink::class);
    }
}
