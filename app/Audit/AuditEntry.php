<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\UserInterface;

/** A line of the audit log; written once and never changed. */
#[ORM\Entity(repositoryClass: AuditLog::class, readOnly: true)]
#[ORM\Table(name: 'audit_log')]
#[ORM\Index(name: 'by_subject', columns: ['subject'])]
class AuditEntry
{
    private const MAX_LENGTH = 400;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: self::MAX_LENGTH)]
    private string $says;

    /** @param array<string, mixed>|null $before what it was before; null for changes that are not undone from here */
    public function __construct(
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
        #[ORM\ManyToOne]
        private ?UserInterface $user,
        #[ORM\Column(length: 40)]
        private string $what,
        string $says,
        #[ORM\Column(length: 60, nullable: true)]
        private ?string $subject,
        #[ORM\Column(name: 'previous', nullable: true)]
        private ?array $before = null,
    ) {
        $this->says = mb_substr($says, 0, self::MAX_LENGTH);
    }

    public function what(): string
    {
        return $this->what;
    }

    /** @return array<string, mixed>|null what it was before; null for changes that are not undone from here */
    public function before(): ?array
    {
        return $this->before;
    }
}
