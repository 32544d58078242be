<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;

/** Something that this gym offers to others. */
#[ORM\Entity(repositoryClass: Offerings::class)]
#[ORM\Table(name: 'offering')]
#[ORM\UniqueConstraint(name: 'once', columns: ['kind', 'subject'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
class Offering
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** @param string $subject id of a combination, course or numbering, a theme, or a sport of the house rules */
    public function __construct(
        #[ORM\Column(length: 12, enumType: OfferKind::class)]
        private OfferKind $kind,
        #[ORM\Column(length: 40)]
        private string $subject,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $user,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
    }

    public function kind(): OfferKind
    {
        return $this->kind;
    }

    public function subject(): string
    {
        return $this->subject;
    }

    public function user(): User
    {
        return $this->user;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }
}
