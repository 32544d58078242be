<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\ORM\EntityManagerInterface;

/**
 * Serializes writes to the library. A gym writes rarely and each write is short; in return no chain can be saved twice
 * at the same time, no proposal can be decided on a combination that is being changed, and there are no deadlocks. The
 * lock is a row that is written, which holds on every node of a cluster.
 */
final readonly class LibraryLock
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** Takes the lock until the transaction ends; must be the first statement of every transaction that writes. */
    public function take(): void
    {
        $this->entities->createQuery('UPDATE '.Gym::class.' g SET g.revision = g.revision + 1')->execute();
    }

    /** Incremented by every write: search results stay valid while the revision is the same. */
    public function revision(): int
    {
        return (int) $this->entities->createQuery('SELECT g.revision FROM '.Gym::class.' g')->getSingleScalarResult();
    }
}
