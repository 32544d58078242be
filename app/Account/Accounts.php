<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/**
 * Finds who signs in, and makes sure at every request that the account is still what the session says. That look is
 * one plain query: it stands before every route, and the object-relational mapper is not needed for it.
 *
 * @implements UserProviderInterface<User>
 */
final readonly class Accounts implements UserProviderInterface
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection)
    {
    }

    public function loadUserByIdentifier(string $identifier): User
    {
        return $this->entities->getRepository(User::class)->findOneBy(['email' => EmailAddress::of($identifier), 'active' => true]) ?? throw new UserNotFoundException();
    }

    public function refreshUser(UserInterface $user): User
    {
        if (!$user instanceof User) {
            throw new UnsupportedUserException();
        }
        try {
            /** @var array{password: string, role: string, email: string, name: string, numbering: string|null, sessions_ended: int|string}|false $row */
            $row = $this->connection->fetchAssociative('SELECT password, role, email, name, numbering, sessions_ended FROM user WHERE id = ? AND active = 1', [$user->id()]);
        } catch (ConnectionException) {
            // Nobody is signed out because the database is away: what needs it answers 503 by itself.
            return $user;
        }
        if (false === $row || (int) $row['sessions_ended'] !== $user->sessionsEnded()) {
            throw new UserNotFoundException();
        }

        if ($user->isStill($row)) {
            return $user;
        }
        $now = $this->loadUserByIdentifier($user->getUserIdentifier());
        $this->entities->refresh($now);

        return $now;
    }

    /** @return array<int, string> names of all that have or had an account, by id */
    public function names(): array
    {
        /** @var array<int, string> $names */
        $names = $this->connection->fetchAllKeyValue('SELECT id, name FROM user ORDER BY name, id');

        return $names;
    }

    public function supportsClass(string $class): bool
    {
        return User::class === $class;
    }
}
