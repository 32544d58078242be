<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;

use function Periplus\Core\Language\t;

/**
 * Finds saved searches.
 *
 * @extends ServiceEntityRepository<SavedView>
 */
final class SavedViews extends ServiceEntityRepository
{
    private const MAX_VIEWS = 40;

    public function __construct(ManagerRegistry $registry, private readonly Accounts $accounts)
    {
        parent::__construct($registry, SavedView::class);
    }

    /** @return list<SavedView> their own and shared ones, by name */
    public function for(User $user): array
    {
        /** @var list<SavedView> $views */
        $views = $this->createQueryBuilder('v')->addSelect('u')->join('v.owner', 'u')
            ->where('v.owner = :user OR v.shared = true')->setParameter('user', $user->id())
            ->orderBy('v.name')->addOrderBy('v.id')
            ->getQuery()->getResult();

        return $views;
    }

    /** Saves a search; one with the same name is replaced. */
    public function save(SavedViewRequest $request, User $user): void
    {
        $name = trim($request->name);
        $view = $this->findOneBy(['owner' => $user->id(), 'name' => $name]);
        if (null !== $view) {
            $view->change($request->address, $request->shared);
        } elseif ($this->count(['owner' => $user->id()]) >= self::MAX_VIEWS) {
            throw new Conflict(
                'too-many-views',
                t('You keep {maxViews} views already. Remove one first.', maxViews: self::MAX_VIEWS),
            );
        } else {
            $this->getEntityManager()->persist(
                new SavedView($name, $request->address, $this->accounts->managed($user), $request->shared),
            );
        }
        $this->getEntityManager()->flush();
    }

    /** @throws NotFound when there is none that they may remove */
    public function remove(int $id, User $user): void
    {
        $view = $this->find($id);
        if (true !== $view?->mayBeRemovedBy($user)) {
            throw new NotFound(t('You have no such view.'));
        }
        $this->getEntityManager()->remove($view);
        $this->getEntityManager()->flush();
    }
}
