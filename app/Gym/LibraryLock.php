<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\ORM\EntityManagerInterface;

/**
 * Writes to the library wait for each other. A gym writes seldom and each write is short; in return no chain can be
 * saved twice
 * in the same moment, no proposal can be decided on a combination that changes meanwhile, and no two writes wait for
 * each other for ever.
 */
final readonly class LibraryLock
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** Takes the lock and keeps it until the transaction ends; the first statement of every transaction that writes. */
    public function take(): void
    {
        $this->entities->createQuery('UPDATE '.Gym::class.' g SET g.revision = g.revision + 1')->execute();
    }

    /** Counted up by every write: what was found in the library at one revision is so at any time of that revision. */
    public function revision(): int
    {
        return (int) $this->entities->createQuery('SELECT g.revision FROM '.Gym::class.' g')->getSingleScalarResult();
    }
}
