<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/**
 * Finds the gym of this database.
 *
 * @extends ServiceEntityRepository<Gym>
 */
final class Gyms extends ServiceEntityRepository
{
    public const MISSING = 'The first migration makes the row of the gym.';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Gym::class);
    }

    public function get(): Gym
    {
        return $this->find(Gym::ID) ?? throw new \LogicException(self::MISSING);
    }

    /** Changes the numbering of everybody who has not chosen one. */
    public function useNumbering(string $numbering): void
    {
        $this->set('numbering', $numbering, 'string');
    }

    /** @param array<string, mixed> $voice how calls are spoken */
    public function useVoice(array $voice): void
    {
        $this->set('voice', $voice, 'json');
    }

    public function backUpRecordings(bool $isBackedUp): void
    {
        $this->set('backsUpRecordings', $isBackedUp, 'boolean');
    }

    /** Remembers the core with which the library was checked. */
    public function checkedBy(string $core): void
    {
        $this->set('checkedBy', $core, 'string');
    }

    /** Sets a field that the settings page does not show, so that its version stays the same. */
    private function set(string $field, mixed $value, string $type): void
    {
        $this->getEntityManager()->createQuery(\sprintf('UPDATE %s g SET g.%s = :value', Gym::class, $field))
            ->setParameter('value', $value, $type)->execute();
    }
}
