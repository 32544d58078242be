<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Http\Problem;
use Periplus\App\Record\Record;
use Psr\Clock\ClockInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/**
 * Links that let someone in once: a new coach, or one whose password is set anew. The link holds a random word, the
 * database its hash; a link is good for a week and for one use.
 */
final readonly class Invitations
{
    private const DAYS = 7;

    public function __construct(
        private Connection $connection,
        private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher,
        private Record $record,
        private ClockInterface $clock,
    ) {
    }

    /** @return array{token: string, expiresAt: string} */
    public function invite(GymRole $role, User $maker): array
    {
        $this->record->add($maker->id(), 'coach.invited', 'made a link that invites a '.strtr($role->word(), '-', ' '));

        return $this->make('invite', $role, null, $maker);
    }

    /** @return array{token: string, expiresAt: string} */
    public function reset(User $user, User $maker): array
    {
        $this->record->add($maker->id(), 'coach.reset', 'made a link that sets the password of '.$user->name().' anew', 'coaches/'.$user->id());

        return $this->make('reset', $user->role(), $user->id(), $maker);
    }

    /** @return array{kind: string, role: string, name: string|null, email: string|null} what the link is for */
    public function look(string $token): array
    {
        $row = $this->row($token);
        $user = null === $row['user_id'] ? null : $this->entities->find(User::class, $row['user_id']);

        return ['kind' => $row['kind'], 'role' => GymRole::from($row['role'])->word(), 'name' => $user?->name(), 'email' => $user?->getUserIdentifier()];
    }

    /** Makes the account, or sets the password; the link is used up. */
    public function accept(string $token, AcceptRequest $request): User
    {
        return $this->entities->wrapInTransaction(function () use ($token, $request): User {
            $row = $this->row($token, ' FOR UPDATE');
            $this->connection->update('invitation', ['used_at' => $this->now()], ['id' => $row['id']]);
            if (null !== $row['user_id']) {
                $user = $this->entities->find(User::class, $row['user_id']) ?? throw self::gone();
                $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
                $this->entities->flush();
                $this->record->add($user->id(), 'coach.password', 'set a new password by a link', 'coaches/'.$user->id());

                return $user;
            }
            $email = mb_strtolower(trim((string) $request->email));
            $name = trim((string) $request->name);
            if ('' === $email || '' === $name) {
                throw new Problem(422, 'invalid', 'Give your name and your e-mail address.', ['violations' => [['field' => '' === $name ? 'name' : 'email', 'message' => 'This is needed.']]]);
            }
            if (null !== $this->entities->getRepository(User::class)->findOneBy(['email' => $email])) {
                throw new Problem(409, 'email-taken', 'There is an account with this e-mail address already. Sign in with it, or ask the head coach for a link that sets its password anew.');
            }
            $user = new User($email, $name, GymRole::from($row['role']));
            $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
            $this->entities->persist($user);
            $this->entities->flush();
            $this->record->add($user->id(), 'coach.joined', 'joined the gym as a '.strtr($user->role()->word(), '-', ' '), 'coaches/'.$user->id());

            return $user;
        });
    }

    /** @return array{token: string, expiresAt: string} */
    private function make(string $kind, GymRole $role, ?int $user, User $maker): array
    {
        $token = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $expires = $this->clock->now()->modify('+'.self::DAYS.' days');
        $this->connection->insert('invitation', [
            'token_hash' => hash('sha256', $token),
            'kind' => $kind,
            'role' => $role->value,
            'user_id' => $user,
            'maker_id' => $maker->id(),
            'created_at' => $this->now(),
            'expires_at' => $expires->format('Y-m-d H:i:s'),
        ]);

        return ['token' => $token, 'expiresAt' => $expires->format(\DATE_ATOM)];
    }

    /** @return array{id: int, kind: string, role: string, user_id: int|null} */
    private function row(string $token, string $lock = ''): array
    {
        /** @var array{id: int, kind: string, role: string, user_id: int|null}|false $row */
        $row = $this->connection->fetchAssociative('SELECT id, kind, role, user_id FROM invitation WHERE token_hash = ? AND used_at IS NULL AND expires_at > ?'.$lock, [hash('sha256', $token), $this->now()]);

        return false === $row ? throw self::gone() : $row;
    }

    private static function gone(): Problem
    {
        return new Problem(404, 'link-used-up', 'This link was used already or is too old. Ask the head coach for a new one.');
    }

    private function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s');
    }
}
