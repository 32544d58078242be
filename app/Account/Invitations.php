<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\Gyms;
use Periplus\App\Http\PlainText;
use Periplus\App\Security\GymRole;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Instant;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

use function Periplus\Core\Language\t;

/**
 * Manages links for one use: for a new coach, for a new password, or for the first head coach of a new gym. A link is
 * valid for a week, or for a day when it was created on the server's console. It ends earlier when it is withdrawn,
 * when a newer one is created for the same account, when the account gets a new password or is blocked, and when its
 * creator is no longer a head coach.
 *
 * @extends ServiceEntityRepository<Invitation>
 */
final class Invitations extends ServiceEntityRepository
{
    private const VALID_DAYS = 7;
    /** Validity of a link created on the console. */
    private const VALID_HOURS = 24;
    /** Maximum number of valid links at a time. */
    private const MAX_OPEN = 50;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Accounts $accounts,
        private readonly Gyms $gyms,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Invitation::class);
    }

    public function invite(InviteRequest $request, User $maker): NewLink
    {
        $for = PlainText::line($request->meantFor);
        $this->audit->add(
            $maker->id(),
            'coach.invited',
            t(
                'made a link that invites {name} as a {role}',
                name: '' === $for ? 'somebody' : '“'.$for.'”',
                role: strtr($request->role()->word(), '-', ' '),
            ),
        );

        return $this->make(InvitationKind::Invite, $request->role(), null, $maker, $for);
    }

    public function reset(User $user, User $maker): NewLink
    {
        if (!$user->isActive()) {
            throw new Conflict('blocked', t('{user} is blocked. Unblock the account first.', user: $user->name()));
        }
        $this->endOf($user, InvitationEnding::Replaced);
        $this->audit->add(
            $maker->id(),
            'coach.reset',
            t('made a link for a new password of {name}', name: $user->name()),
            'coaches/'.$user->id(),
        );

        return $this->make(InvitationKind::Reset, $user->role(), $user, $maker, $user->name());
    }

    /** Creates the link for the first head coach of a new gym and ends an earlier one. */
    public function setUp(): NewLink
    {
        $this->end('i.kind = :which', InvitationKind::Setup->value, InvitationEnding::Replaced);

        return $this->make(InvitationKind::Setup, GymRole::HeadCoach, null, null, '');
    }

    /** Creates a link for somebody with access to the server, such as a locked-out only head coach. */
    public function rescue(User $user): NewLink
    {
        $this->endOf($user, InvitationEnding::Replaced);
        $this->audit->add(
            null,
            'coach.reset',
            t('Somebody made a link on the gym’s server for a new password of {user}', user: $user->name()),
            'coaches/'.$user->id(),
        );

        return $this->make(InvitationKind::Reset, $user->role(), $user, null, $user->name());
    }

    /** @return list<InvitationRow> those that are good, the newest first */
    public function open(): array
    {
        /** @var list<InvitationRow> $open */
        $open = $this->good()
            ->select(\sprintf(
                'NEW %s(i.id, i.kind, i.role, i.meantFor, m.name, i.createdAt, i.expiresAt)',
                InvitationRow::class,
            ))
            ->orderBy('i.id', 'DESC')->getQuery()->getResult();

        return $open;
    }

    public function withdraw(int $id, User $by): void
    {
        if (0 === $this->end('i.id = :which', $id, InvitationEnding::Withdrawn)) {
            throw new NotFound(t('This link is no longer valid: it was used, withdrawn or is too old.'));
        }
        $this->audit->add($by->id(), 'coach.withdrawn', t('withdrew a link'));
    }

    /** Ends all links that would set the password of an account. */
    public function endOf(User $user, InvitationEnding $ending): void
    {
        $this->end('i.user = :which', $user->id(), $ending);
    }

    /** Ends all links created by somebody who may not create any more. */
    public function endBy(User $maker): void
    {
        $this->end('i.maker = :which', $maker->id(), InvitationEnding::Maker);
    }

    /** Returns what the link is for. */
    public function look(#[\SensitiveParameter] string $token): InvitationPreview
    {
        $link = $this->withToken($token);

        return new InvitationPreview(
            $link->kind(),
            $link->role()->word(),
            $link->user()?->name(),
            $link->user()?->getUserIdentifier(),
            $this->gyms->get()->name(),
        );
    }

    /** Creates the account or sets the password, and uses up the link. */
    public function accept(AcceptRequest $request): User
    {
        try {
            return $this->getEntityManager()->wrapInTransaction(fn (): User => $this->use($request));
        } catch (UniqueConstraintViolationException) {
            // Somebody else joined with the same address at the same time.
            throw self::taken();
        }
    }

    private function use(AcceptRequest $request): User
    {
        $link = $this->withToken($request->token, LockMode::PESSIMISTIC_WRITE);
        $link->end(InvitationEnding::Used, $this->clock->now());
        $user = $link->user();
        if (null !== $user) {
            PasswordRules::require($request->password, 'password', $user->name(), $user->getUserIdentifier());
            $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
            $user->endSessions();
            $this->getEntityManager()->flush();
            $this->endOf($user, InvitationEnding::Password);
            $this->audit->add($user->id(), 'coach.password', t('set a new password by a link'), 'coaches/'.$user->id());

            return $user;
        }
        $email = EmailAddress::normalize((string) $request->email);
        $name = PlainText::line((string) $request->name);
        if ('' === $email || '' === $name) {
            throw Invalid::field(
                '' === $name ? 'name' : 'email',
                t('Give your name and your e-mail address.'),
                t('This is needed.'),
            );
        }
        PasswordRules::require($request->password, 'password', $name, $email);
        if (null !== $this->accounts->withEmail($email)) {
            throw self::taken();
        }
        $founds = InvitationKind::Setup === $link->kind();
        if ($founds && 0 < $this->accounts->count()) {
            throw self::gone();
        }
        $user = new User($email, $name, $link->role());
        $user->usePasswordHash($this->hasher->hashPassword($user, $request->password));
        $this->getEntityManager()->persist($user);
        $this->getEntityManager()->flush();
        $this->audit->add(
            $user->id(),
            'coach.joined',
            $founds
                ? t('founded the gym')
                : t('joined the gym as a {role}', role: strtr($user->role()->word(), '-', ' ')),
            'coaches/'.$user->id(),
        );

        return $user;
    }

    private function make(InvitationKind $kind, GymRole $role, ?User $user, ?User $maker, string $for): NewLink
    {
        if (\count($this->open()) >= self::MAX_OPEN) {
            throw new Conflict(
                'too-many-open',
                t('{maxOpen} links are open. Withdraw some of them first.', maxOpen: self::MAX_OPEN),
            );
        }
        $token = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $now = $this->clock->now();
        $expires = $now->modify(null === $maker ? '+'.self::VALID_HOURS.' hours' : '+'.self::VALID_DAYS.' days');
        $maker = null === $maker ? null : $this->accounts->managed($maker);
        $this->getEntityManager()->persist(new Invitation(
            token: $token,
            kind: $kind,
            role: $role,
            user: $user,
            maker: $maker,
            meantFor: $for,
            createdAt: $now,
            expiresAt: $expires,
        ));
        $this->getEntityManager()->flush();

        return new NewLink($token, new Instant($expires));
    }

    /**
     * @param string $which a condition with the parameter :which
     *
     * @return int how many were open
     */
    private function end(string $which, int|string $value, InvitationEnding $ending): int
    {
        /** @var int $ended */
        $ended = $this->getEntityManager()
            ->createQuery(
                'UPDATE '
                    .Invitation::class
                    .' i SET i.endedAt = :now, i.ending = :ending WHERE i.endedAt IS NULL AND '
                    .$which,
            )
            ->setParameter('now', $this->clock->now())
            ->setParameter('ending', $ending)
            ->setParameter('which', $value)
            ->execute();

        return $ended;
    }

    private function withToken(#[\SensitiveParameter] string $token, LockMode $lock = LockMode::NONE): Invitation
    {
        /** @var Invitation|null $link */
        $link = $this->good()
            ->andWhere('i.tokenHash = :hash')->setParameter('hash', Invitation::hash($token))
            ->getQuery()->setLockMode($lock)->getOneOrNullResult();

        return $link ?? throw self::gone();
    }

    /** Returns a query for the valid links. */
    private function good(): QueryBuilder
    {
        return $this->createQueryBuilder('i')->leftJoin('i.maker', 'm')->leftJoin('i.user', 'u')
            ->where('i.endedAt IS NULL AND i.expiresAt > :now')
            ->andWhere('i.maker IS NULL OR (m.active = true AND m.role = :head)')
            ->andWhere('i.user IS NULL OR u.active = true')
            ->setParameter('now', $this->clock->now())
            ->setParameter('head', GymRole::HeadCoach);
    }

    private static function gone(): NotFound
    {
        return new NotFound(
            t('This link was used already, was withdrawn or is too old. Ask the head coach for a new one.'),
            'link-used-up',
        );
    }

    private static function taken(): Conflict
    {
        return new Conflict(
            'email-taken',
            t(
                'There is already an account with this e-mail address. Sign in with it, or ask the head coach for a '
                    .'link to set a new password.',
            ),
        );
    }
}
