<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Changes versioned entities, each change from the version that was seen, so that coaches do not overwrite what they
 * have not seen.
 */
final readonly class Versions
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * Locks the entity, compares its version, changes and stores it, in one transaction.
     *
     * @template T of Versioned
     *
     * @param class-string<T> $class
     * @param string $missing the message when it does not exist
     * @param \Closure(T): mixed $change what belongs into the same transaction, such as the audit log, is done here as
     *                                   well
     * @param (\Closure(T): Refused)|null $refuse says more than that it was changed since
     *
     * @return T the entity after the change
     *
     * @throws NotFound
     * @throws ChangedMeanwhile
     */
    public function change(
        string $class,
        int|string $id,
        int $basedOn,
        string $missing,
        \Closure $change,
        ?\Closure $refuse = null,
    ): Versioned {
        return $this->entities->wrapInTransaction(function () use (
            $class,
            $id,
            $basedOn,
            $missing,
            $change,
            $refuse,
        ): Versioned {
            $entity = $this->hold($class, $id) ?? throw new NotFound($missing);
            if ($entity->version() !== $basedOn) {
                throw null === $refuse ? new ChangedMeanwhile($entity->changedMeanwhile()) : $refuse($entity);
            }
            $change($entity);
            $this->entities->flush();

            return $entity;
        });
    }

    /**
     * Reads the current state of an entity and locks it until the transaction ends.
     *
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null
     */
    public function hold(string $class, int|string $id): ?object
    {
        return $this->entities->find($class, $id, LockMode::PESSIMISTIC_WRITE);
    }
}
