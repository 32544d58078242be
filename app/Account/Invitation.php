<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Security\GymRole;

/** A link that is valid for one use. The link contains a random token, the database its hash. */
#[ORM\Entity(repositoryClass: Invitations::class)]
#[ORM\Table(name: 'invitation')]
#[ORM\UniqueConstraint(name: 'by_token', columns: ['token_hash'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
#[ORM\Index(name: 'by_maker', columns: ['maker_id'])]
class Invitation
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 64, options: ['fixed' => true])]
    private string $tokenHash;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $endedAt = null;

    #[ORM\Column(length: 12, nullable: true, enumType: InvitationEnding::class)]
    private ?InvitationEnding $ending = null;

    /**
     * @param User|null $user whose password is set; null for a new account
     * @param User|null $maker null for a link that was made on the machine itself
     * @param string $meantFor to tell links apart
     */
    public function __construct(
        #[\SensitiveParameter] string $token,
        #[ORM\Column(length: 10, enumType: InvitationKind::class)]
        private InvitationKind $kind,
        #[ORM\Column(length: 20, enumType: GymRole::class)]
        private GymRole $role,
        #[ORM\ManyToOne]
        private ?User $user,
        #[ORM\ManyToOne]
        private ?User $maker,
        #[ORM\Column(length: 80, options: ['default' => ''])]
        private string $meantFor,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
        #[ORM\Column]
        private \DateTimeImmutable $expiresAt,
    ) {
        $this->tokenHash = self::hash($token);
    }

    public static function hash(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }

    public function kind(): InvitationKind
    {
        return $this->kind;
    }

    public function role(): GymRole
    {
        return $this->role;
    }

    public function user(): ?User
    {
        return $this->user;
    }

    public function end(InvitationEnding $ending, \DateTimeImmutable $now): void
    {
        $this->ending = $ending;
        $this->endedAt = $now;
    }
}
