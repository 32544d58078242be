<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;

/** Stores an entity under a key chosen by the sender exactly once, even if it is sent twice at the same time. */
final readonly class Once
{
    public function __construct(private EntityManagerInterface $entities, private ManagerRegistry $registry)
    {
    }

    /**
     * @template T of object
     *
     * @param \Closure(): ?T $find by the key, which is unique
     * @param \Closure(): T $make run in a transaction
     *
     * @return T
     */
    public function store(\Closure $find, \Closure $make): object
    {
        $known = $find();
        if (null !== $known) {
            return $known;
        }
        try {
            return $this->entities->wrapInTransaction($make);
        } catch (UniqueConstraintViolationException $twice) {
            // A failed write closes the entity manager.
            $this->registry->resetManager();

            return $find() ?? throw $twice;
        }
    }
}
