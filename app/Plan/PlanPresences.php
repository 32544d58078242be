<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Store\Once;
use Psr\Clock\ClockInterface;

/**
 * Finds out who has a plan open.
 *
 * @extends ServiceEntityRepository<PlanPresence>
 */
final class PlanPresences extends ServiceEntityRepository
{
    /** Time in s after the last report at which a coach counts as gone. */
    private const GONE_AFTER_SECONDS = 25;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Once $once,
        private readonly Accounts $accounts,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, PlanPresence::class);
    }

    /** @return list<string> the names of the others */
    public function seen(int $plan, User $user): array
    {
        $now = $this->clock->now();
        $entities = $this->getEntityManager();
        $this->once
            ->store(fn (): ?PlanPresence => $this->find(['plan' => $plan, 'user' => $user->id()]), function () use (
                $entities,
                $plan,
                $user,
                $now,
            ): PlanPresence {
                $of =
                    $entities->getReference(Plan::class, $plan)
                    ?? throw new \LogicException('There is no plan '.$plan);
                $entities->persist($presence = new PlanPresence($of, $this->accounts->managed($user), $now));

                return $presence;
            },
            )->seen($now);
        $entities->flush();
        /** @var list<string> $names */
        $names = $this->createQueryBuilder('p')->select('u.name')->join('p.user', 'u')
            ->where('p.plan = :plan AND p.user <> :user AND p.seenAt > :since')
            ->setParameter('plan', $plan)->setParameter('user', $user->id())
            ->setParameter('since', $now->modify('-'.self::GONE_AFTER_SECONDS.' seconds'))
            ->orderBy('u.name')->getQuery()->getSingleColumnResult();

        return $names;
    }
}
