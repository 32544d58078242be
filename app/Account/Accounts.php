<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Security\GymRole;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/**
 * Finds accounts, and checks on every request that the account still matches the session. That check is one plain SQL
 * query, because it runs before every route, including those that do not need Doctrine otherwise.
 *
 * @extends ServiceEntityRepository<User>
 *
 * @implements UserProviderInterface<User>
 */
final class Accounts extends ServiceEntityRepository implements UserProviderInterface
{
    public function __construct(ManagerRegistry $registry, private readonly Connection $connection)
    {
        parent::__construct($registry, User::class);
    }

    public function loadUserByIdentifier(string $identifier): User
    {
        return $this->findOneBy([
            'email' => EmailAddress::normalize($identifier),
            'active' => true,
        ]) ?? throw new UserNotFoundException();
    }

    public function refreshUser(UserInterface $user): User
    {
        if (!$user instanceof User) {
            throw new UnsupportedUserException();
        }
        try {
            /**
             * @var array{
             *     password: string,
             *     role: string,
             *     email: string,
             *     name: string,
             *     numbering: string|null,
             *     sessions_ended: int|string,
             * }|false $row
             */
            $row = $this->connection->fetchAssociative(
                'SELECT password, role, email, name, numbering, sessions_ended FROM user WHERE id = ? AND active = 1',
                [$user->id()],
            );
        } catch (ConnectionException) {
            // Coaches stay signed in while the database is down; routes that need it answer 503.
            return $user;
        }
        if (false === $row || (int) $row['sessions_ended'] !== $user->sessionsEnded()) {
            throw new UserNotFoundException();
        }

        if ($user->isStill($row)) {
            return $user;
        }
        $now = $this->loadUserByIdentifier($user->getUserIdentifier());
        $this->getEntityManager()->refresh($now);

        return $now;
    }

    public function withEmail(string $email): ?User
    {
        return $this->findOneBy(['email' => $email]);
    }

    /** Returns the account as managed by the entity manager, for associations; the one in the session is detached. */
    public function managed(User|int $user): User
    {
        $id = \is_int($user) ? $user : $user->id();

        return $this->getEntityManager()->getReference(User::class, $id)
            ?? throw new \LogicException('There is no account '.$id);
    }

    /** @param string|null $numbering null for the gym's */
    public function readIn(User $user, ?string $numbering): void
    {
        $this->managed($user)->readIn($numbering);
        $this->getEntityManager()->flush();
    }

    /** @return array<int, string> names of all that have or had an account, by id */
    public function names(): array
    {
        /** @var list<array{id: int, name: string}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery('SELECT u.id, u.name FROM '.User::class.' u ORDER BY u.name, u.id')->getResult();

        return array_column($rows, 'name', 'id');
    }

    /** @return list<User> those that may sign in, by name */
    public function active(): array
    {
        return $this->findBy(['active' => true], ['name' => 'ASC']);
    }

    /** @return list<int> ids of the accounts with this name, or with a last name that begins with it */
    public function named(string $beginning): array
    {
        $like = addcslashes($beginning, '%_\\').'%';
        /** @var list<int> $ids */
        $ids = $this->getEntityManager()
            ->createQuery('SELECT u.id FROM '.User::class.' u WHERE u.name LIKE :like OR u.name LIKE :last')
            ->setParameter('like', $like)->setParameter('last', '% '.$like)
            ->getSingleColumnResult();

        return $ids;
    }

    /** Returns the head coach with the oldest account; null while there is none. */
    public function firstHeadCoach(): ?User
    {
        return $this->findOneBy(['role' => GymRole::HeadCoach], ['id' => 'ASC']);
    }

    /** @return list<User> the head coaches who may sign in */
    public function activeHeadCoaches(): array
    {
        return $this->findBy(['role' => GymRole::HeadCoach, 'active' => true]);
    }

    public function supportsClass(string $class): bool
    {
        return User::class === $class;
    }
}
