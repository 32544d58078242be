<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds the gym's walls; revoked ones are not found.
 *
 * @extends ServiceEntityRepository<Wall>
 */
final class Walls extends ServiceEntityRepository
{
    private const MAX_WALLS = 50;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Wall::class);
    }

    /** @return list<Wall> by name */
    public function all(): array
    {
        return $this->inOrder($this->open());
    }

    /** @return list<string> keys of those that show this session */
    public function keysShowing(int $run): array
    {
        /** @var list<string> $keys */
        $keys = $this->createQueryBuilder('w')->select('w.key')->where('w.revokedAt IS NULL AND w.run = :run')
            ->setParameter('run', $run)->getQuery()->getSingleColumnResult();

        return $keys;
    }

    /** Returns the wall with that key; null when there is none, or it was revoked. */
    public function withKey(string $key): ?Wall
    {
        return $this->inOrder($this->open()->andWhere('w.key = :key')->setParameter('key', $key))[0] ?? null;
    }

    /** @throws NotFound */
    public function get(int $id): Wall
    {
        return $this->inOrder($this->open()->andWhere('w.id = :id')->setParameter('id', $id))[0]
            ?? throw new NotFound(t('There is no such wall. It may have been revoked.'));
    }

    public function create(WallRequest $request, User $editor): Wall
    {
        if (\count($this->all()) >= self::MAX_WALLS) {
            throw new Conflict(
                'too-many',
                t(
                    'A gym has at most {maxWalls} walls. Revoke one that is no longer used.',
                    maxWalls: self::MAX_WALLS,
                ),
            );
        }
        $wall = new Wall(
            trim($request->name),
            $request->hasKeys,
            $this->accounts->managed($editor),
            $this->clock->now(),
        );
        $this->getEntityManager()->persist($wall);
        $this->getEntityManager()->flush();
        $this->record($wall, $editor, 'wall.created', t('added the wall “{wall}”', wall: $wall->name()));

        return $wall;
    }

    public function update(int $id, WallRequest $request, User $editor): Wall
    {
        $wall = $this->get($id);
        $this->record($wall, $editor, 'wall.updated', t('changed the wall “{wall}”', wall: $wall->name()));
        $wall->change(trim($request->name), $request->hasKeys);
        $this->getEntityManager()->flush();

        return $wall;
    }

    /** Revokes a wall: its URL stops working. */
    public function revoke(int $id, User $editor): Wall
    {
        $wall = $this->get($id);
        $wall->revoke($this->clock->now());
        $this->record($wall, $editor, 'wall.revoked', t('revoked the wall “{wall}”', wall: $wall->name()));

        return $wall;
    }

    /** @param list<int> $ids that show this session from now on */
    public function show(ShownSession $run, array $ids): void
    {
        foreach ($ids as $id) {
            $this->get($id)->show($run);
        }
        $this->getEntityManager()->flush();
    }

    /** Records that it has just been seen. */
    public function seen(Wall $wall): void
    {
        if ($wall->seen($this->clock->now())) {
            $this->getEntityManager()->flush();
        }
    }

    private function record(Wall $wall, User $editor, string $what, string $says): void
    {
        $this->audit->add($editor->id(), $what, $says, 'wall/'.$wall->id());
    }

    private function open(): QueryBuilder
    {
        return $this->createQueryBuilder('w')->addSelect('e')->join('w.editor', 'e')->where('w.revokedAt IS NULL');
    }

    /** @return list<Wall> */
    private function inOrder(QueryBuilder $walls): array
    {
        /** @var list<Wall> $list */
        $list = $walls->orderBy('w.name')->addOrderBy('w.id')->getQuery()->getResult();

        return $list;
    }
}
