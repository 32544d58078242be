<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Security\GymRole;
use Periplus\App\Security\Permission;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** An account of the gym. */
#[ORM\Entity(repositoryClass: Accounts::class)]
#[ORM\Table(name: 'user')]
class User implements UserInterface, PasswordAuthenticatedUserInterface
{
    private const DIGEST_LENGTH = 8;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 255)]
    private string $password = '';

    /** The numbering that the coach reads; null for the gym's own. */
    #[ORM\Column(length: 40, nullable: true)]
    private ?string $numbering = null;

    #[ORM\Column(options: ['default' => true])]
    private bool $active = true;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $lastSignIn = null;

    /** How often all login sessions of the account were ended; a session with another count is invalid. */
    #[ORM\Column(options: ['default' => 0])]
    private int $sessionsEnded = 0;

    public function __construct(
        #[ORM\Column(length: 180, unique: true, options: ['charset' => 'utf8mb4', 'collation' => 'utf8mb4_nopad_bin'])]
        private readonly string $email,
        #[ORM\Column(length: 80)]
        private readonly string $name,
        #[ORM\Column(length: 20, enumType: GymRole::class)]
        private GymRole $role,
    ) {
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This account is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function person(): Person
    {
        return new Person($this->id(), $this->name);
    }

    public function role(): GymRole
    {
        return $this->role;
    }

    public function changeRole(GymRole $role): void
    {
        $this->role = $role;
    }

    public function numbering(): ?string
    {
        return $this->numbering;
    }

    public function readIn(?string $numbering): void
    {
        $this->numbering = $numbering;
    }

    /** Tells whether the account may sign in. */
    public function isActive(): bool
    {
        return $this->active;
    }

    public function letIn(): void
    {
        $this->active = true;
    }

    /** Blocks the account and ends its login sessions, for good even if it is unblocked later. */
    public function block(): void
    {
        $this->active = false;
        $this->endSessions();
    }

    public function endSessions(): void
    {
        ++$this->sessionsEnded;
    }

    public function sessionsEnded(): int
    {
        return $this->sessionsEnded;
    }

    public function signedIn(\DateTimeImmutable $now): void
    {
        $this->lastSignIn = $now;
    }

    public function lastSignIn(): ?\DateTimeImmutable
    {
        return $this->lastSignIn;
    }

    public function may(Permission $permission): bool
    {
        return \in_array($permission, $this->role->permissions(), true);
    }

    public function isHeadCoach(): bool
    {
        return GymRole::HeadCoach === $this->role;
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->email ? throw new \LogicException('An account has an e-mail address.') : $this->email;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return [$this->role->value];
    }

    public function getPassword(): string
    {
        return $this->password;
    }

    public function usePasswordHash(string $hash): void
    {
        $this->password = $hash;
    }

    /**
     * The session stores a digest of the password hash: a new password ends other sessions, and no hash is written to
     * disk.
     *
     * @return array<string, mixed>
     */
    public function __serialize(): array
    {
        /** @var array<string, mixed> $data */
        $data = (array) $this;
        // A user from a session has the digest already.
        $data["\0".self::class."\0password"] =
            self::DIGEST_LENGTH === \strlen($this->password) ? $this->password : hash('crc32c', $this->password);

        return $data;
    }

    /**
     * Tells whether the stored account still matches this one from a session.
     *
     * @param array{
     *     password: string,
     *     role: string,
     *     email: string,
     *     name: string,
     *     numbering: string|null,
     *     sessions_ended: int|string,
     * } $row the stored account
     */
    public function isStill(array $row): bool
    {
        return hash('crc32c', $row['password']) === $this->password
            && $row['role'] === $this->role->value
            && $row['email'] === $this->email
            && $row['name'] === $this->name
            && $row['numbering'] === $this->numbering;
    }

    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }
}
