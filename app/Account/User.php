<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** Someone of the gym who signs in. */
#[ORM\Entity(repositoryClass: Accounts::class)]
#[ORM\Table(name: 'user')]
class User implements UserInterface, PasswordAuthenticatedUserInterface
{
    private const DIGEST_LENGTH = 8;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 255)]
    private string $password = '';

    /** The numbering they read in; the gym's own when null. */
    #[ORM\Column(length: 40, nullable: true)]
    private ?string $numbering = null;

    #[ORM\Column(options: ['default' => true])]
    private bool $active = true;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $lastSignIn = null;

    /** How often all sessions of the account were ended; one that knows another count is not good any more. */
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

    public function role(): GymRole
    {
        return $this->role;
    }

    public function become(GymRole $role): void
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

    /** Whether they may sign in. */
    public function isActive(): bool
    {
        return $this->active;
    }

    public function letIn(): void
    {
        $this->active = true;
    }

    /**
     * They can no longer sign in, and where they are signed in they are not any more, also if they are let in again.
     */
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
     * The session keeps a digest of the hash, so that a change of password ends other sessions and no hash lies in a
     * file.
     *
     * @return array<string, mixed>
     */
    public function __serialize(): array
    {
        /** @var array<string, mixed> $data */
        $data = (array) $this;
        // One that came from a session is a digest already.
        $data["\0".self::class."\0password"] =
            self::DIGEST_LENGTH === \strlen($this->password) ? $this->password : hash('crc32c', $this->password);

        return $data;
    }

    /**
     * Whether the stored account is what this one, from a session, was made of.
     *
     * @param array{
     *     password: string,
     *     role: string,
     *     email: string,
     *     name: string,
     *     numbering: string|null,
     *     sessions_ended: int|string,
     * } $row as it is stored
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
