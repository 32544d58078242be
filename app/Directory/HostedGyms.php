<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/**
 * Finds the gyms of an installation with several.
 *
 * @extends ServiceEntityRepository<HostedGym>
 */
final class HostedGyms extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, HostedGym::class);
    }

    public function withHost(string $host): ?HostedGym
    {
        return $this->findOneBy(['host' => $host]);
    }

    public function named(string $name): ?HostedGym
    {
        return $this->find($name);
    }

    /** @return list<HostedGym> by name */
    public function all(): array
    {
        return $this->findBy([], ['name' => 'ASC']);
    }

    public function store(HostedGym $gym): void
    {
        $this->getEntityManager()->persist($gym);
        $this->getEntityManager()->flush();
    }
}
