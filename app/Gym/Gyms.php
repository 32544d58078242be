<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\OptimisticLockException;
use Doctrine\Persistence\ManagerRegistry;

/**
 * Finds the gym of this database.
 *
 * @extends ServiceEntityRepository<Gym>
 */
final class Gyms extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Gym::class);
    }

    public function get(): Gym
    {
        return $this->find(Gym::ID) ?? throw new \LogicException('The first migration makes the row of the gym.');
    }

    /**
     * Returns the gym for a change that was made from that version.
     *
     * @throws OptimisticLockException when somebody else has changed it since
     */
    public function getVersion(int $version): Gym
    {
        return $this->find(
            Gym::ID,
            LockMode::OPTIMISTIC,
            $version,
        ) ?? throw new \LogicException('The first migration makes the row of the gym.');
    }
}
