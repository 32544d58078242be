<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\Gyms;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\PlainText;
use Psr\Clock\ClockInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/**
 * Links that let someone in once: a new coach, one whose password is set again, or the first head coach of a new gym. The
 * link holds a random word, the database its hash. A link is good for one use, and for a week, or for a day when it was
 * made on the machine itself. It ends before that when it is withdrawn, when another is made for the same account, when
 * that account has a new password or is blocked, and when its maker is no longer a head coach.
 */
final readonly class Invitations
{
    private const VALID_DAYS = 7;
    /** Of a link that was made on the machine itself. */
    private const VALID_HOURS = 24;
    /** Links that may be open at a time. */
    private const MOST = 50;
    private const GOOD = 'i.ended_at IS NULL AND i.expires_at > ?'
        ." AND (i.maker_id IS NULL OR (m.active = 1 AND m.role = 'ROLE_HEAD_COACH')) AND (i.user_id IS NULL OR u.active = 1)";
    private const FROM = ' FROM invitation i LEFT JOIN user m ON m.id = i.maker_id LEFT JOIN user u ON u.id = i.user_id';

    public function __construct(
        private Connection $connection,
        private EntityManagerInterface $entities,
        private Gyms $gyms,
        private UserPasswordHasherInterface $hasher,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    /** @return array{token: string, expiresAt: string} */
    public function invite(InviteRequest $request, User $maker): array
    {
        $for = PlainText::line($request->meantFor);
        $this->audit->add($maker->id(), 'coach.invited', \sprintf('made a link that invites %s as a %s', '' === $for ? 'somebody' : '“'.$for.'”', strtr($request->role()->word(), '-', ' ')));

        return $this->make('invite', $request->role(), null, $maker, $for);
    }

    /** @return array{token: string, expiresAt: string} */
    public function reset(User $user, User $maker): array
    {
        if (!$user->isActive()) {
            throw new ApiProblem(409, 'blocked', \sprintf('%s may not sign in. Let them in again first.', $user->name()));
        }
        $this->endOf($user, 'replaced');
        $this->audit->add($maker->id(), 'coach.reset', 'made a link that sets the password of '.$user->name().' anew', 'coaches/'.$user->id());

        return $this->make('reset', $user->role(), $user->id(), $maker, $user->name());
    }

    /**
     * Makes the link with which the first head coach of a new gym takes it up; an earlier one ends.
     *
     * @return array{token: string, expiresAt: string}
     */
    public function setUp(): array
    {
        $this->end("kind = 'setup'", [], 'replaced');

        return $this->make('setup', GymRole::HeadCoach, null, null, '');
    }

    /**
     * Makes the link that lets somebody back in who has the machine of the gym at hand, such as its only head coach.
     *
     * @return array{token: string, expiresAt: string}
     */
    public function rescue(User $user): array
    {
        $this->endOf($user, 'replaced');
        $this->audit->add(
            null,
            'coach.reset',
            \sprintf('Somebody at the gym’s machine made a link for a new password of %s', $user->name()),
            'coaches/'.$user->id(),
        );

        return $this->make('reset', $user->role(), $user->id(), null, $user->name());
    }

    /** @return list<array{id: int, kind: string, role: string, meantFor: string, madeBy: string|null, madeAt: string, expiresAt: string}> those that are good, the newest first */
    public function open(): array
    {
        /** @var list<array{id: int|string, kind: string, role: string, meant_for: string, maker: string|null, created_at: string, expires_at: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT i.id, i.kind, i.role, i.meant_for, m.name AS maker, i.created_at, i.expires_at'.self::FROM.' WHERE '.self::GOOD.' ORDER BY i.id DESC', [$this->now()]);

        return array_map(static fn (array $row): array => [
            'id' => (int) $row['id'],
            'kind' => $row['kind'],
            'role' => GymRole::from($row['role'])->word(),
            'meantFor' => $row['meant_for'],
            'madeBy' => $row['maker'],
            'madeAt' => (new \DateTimeImmutable($row['created_at']))->format(\DATE_ATOM),
            'expiresAt' => (new \DateTimeImmutable($row['expires_at']))->format(\DATE_ATOM),
        ], $rows);
    }

    public function withdraw(int $id, User $by): void
    {
        if (0 === $this->end('id = ?', [$id], 'withdrawn')) {
            throw new ApiProblem(404, 'not-found', 'This link is not open any more: it was used, withdrawn or is too old.');
        }
        $this->audit->add($by->id(), 'coach.withdrawn', 'withdrew a link');
    }

    /** All links that set the password of an account anew. */
    public function endOf(User $user, string $ending): void
    {
        $this->end('user_id = ?', [$user->id()], $ending);
    }

    /** All links that somebody made who may make none any more. */
    public function endBy(User $maker): void
    {
        $this->end('maker_id = ?', [$maker->id()], 'maker');
    }

    /** @return array{kind: string, role: string, name: string|null, email: string|null, gym: string} what the link is for */
    public function look(string $token): array
    {
        $row = $this->row($token);
        $user = null === $row['user_id'] ? null : $this->entities->find(User::class, $row['user_id']);

        return [
            'kind' => $row['kind'],
            'role' => GymRole::from($row['role'])->word(),
            'name' => $user?->name(),
            'email' => $user?->getUserIdentifier(),
            'gym' => $this->gyms->get()->name(),
        ];
    }

    /** Makes the account, or sets the password; the link is used up. */
    public function accept(AcceptRequest $request): User
    {
        try {
            return $this->entities->wrapInTransaction(fn (): User => $this->use($request));
        } catch (UniqueConstraintViolationException) {
            // Somebody joined with the same address in the same moment.
            throw self::taken();
        }
    }

    private function use(AcceptRequest $request): User
    {
        $row = $this->row($request->token, ' FOR UPDATE');
        $this->end('id = ?', [$row['id']], 'used');
        if (null !== $row['user_id']) {
            $user = $this->entities->find(User::class, $row['user_id']) ?? throw self::gone();
            PasswordRules::require($request->password, 'password', $user->name(), $user->getUserIdentifier());
            $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
            $user->endSessions();
            $this->entities->flush();
            $this->endOf($user, 'password');
            $this->audit->add($user->id(), 'coach.password', 'set a new password by a link', 'coaches/'.$user->id());

            return $user;
        }
        $email = EmailAddress::of((string) $request->email);
        $name = PlainText::line((string) $request->name);
        if ('' === $email || '' === $name) {
            throw new ApiProblem(422, 'invalid', 'Give your name and your e-mail address.', ['violations' => [['field' => '' === $name ? 'name' : 'email', 'message' => 'This is needed.']]]);
        }
        PasswordRules::require($request->password, 'password', $name, $email);
        if (null !== $this->entities->getRepository(User::class)->findOneBy(['email' => $email])) {
            throw self::taken();
        }
        if ('setup' === $row['kind'] && 0 < $this->entities->getRepository(User::class)->count()) {
            throw self::gone();
        }
        $user = new User($email, $name, GymRole::from($row['role']));
        $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
        $this->entities->persist($user);
        $this->entities->flush();
        $this->audit->add(
            $user->id(),
            'coach.joined',
            'setup' === $row['kind'] ? 'founded the gym' : 'joined the gym as a '.strtr($user->role()->word(), '-', ' '),
            'coaches/'.$user->id(),
        );

        return $user;
    }

    /** @return array{token: string, expiresAt: string} */
    private function make(string $kind, GymRole $role, ?int $user, ?User $maker, string $for): array
    {
        if (\count($this->open()) >= self::MOST) {
            throw new ApiProblem(409, 'too-many-open', \sprintf('%d links are open. Withdraw some of them first.', self::MOST));
        }
        $token = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $expires = $this->clock->now()->modify(null === $maker ? '+'.self::VALID_HOURS.' hours' : '+'.self::VALID_DAYS.' days');
        $this->connection->insert('invitation', [
            'token_hash' => hash('sha256', $token),
            'kind' => $kind,
            'role' => $role->value,
            'user_id' => $user,
            'maker_id' => $maker?->id(),
            'meant_for' => $for,
            'created_at' => $this->now(),
            'expires_at' => $expires->format('Y-m-d H:i:s'),
        ]);

        return ['token' => $token, 'expiresAt' => $expires->format(\DATE_ATOM)];
    }

    /**
     * @param list<int> $values
     *
     * @return int how many were open
     */
    private function end(string $which, array $values, string $ending): int
    {
        return (int) $this->connection->executeStatement('UPDATE invitation SET ended_at = ?, ending = ? WHERE ended_at IS NULL AND '.$which, [$this->now(), $ending, ...$values]);
    }

    /** @return array{id: int, kind: string, role: string, user_id: int|null} */
    private function row(string $token, string $lock = ''): array
    {
        /** @var array{id: int, kind: string, role: string, user_id: int|null}|false $row */
        $row = $this->connection->fetchAssociative('SELECT i.id, i.kind, i.role, i.user_id'.self::FROM.' WHERE i.token_hash = ? AND '.self::GOOD.$lock, [hash('sha256', $token), $this->now()]);

        return false === $row ? throw self::gone() : $row;
    }

    private static function gone(): ApiProblem
    {
        return new ApiProblem(404, 'link-used-up', 'This link was used already, was withdrawn or is too old. Ask the head coach for a new one.');
    }

    private static function taken(): ApiProblem
    {
        return new ApiProblem(409, 'email-taken', 'There is an account with this e-mail address already. Sign in with it, or ask the head coach for a link that sets its password anew.');
    }

    private function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s');
    }
}
