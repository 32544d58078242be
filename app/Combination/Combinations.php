<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Store\NotFound;

/** @extends ServiceEntityRepository<Combination> */
final class Combinations extends ServiceEntityRepository
{
    public const MISSING = 'There is no such combination. It may have been typed wrongly.';

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Combination::class);
    }

    public function get(int $id): Combination
    {
        return $this->find($id) ?? throw new NotFound(self::MISSING);
    }

    /** Returns the combination in use with the same chain and effort, whatever its stance, numbering or name. */
    public function same(string $fingerprintWithEffort, ?int $except): ?Combination
    {
        $same = $this->findOneBy(['inUse' => $fingerprintWithEffort]);

        return $same?->id() === $except ? null : $same;
    }
}
