<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\Instant;

/** A link under which another installation reads what this gym offers. It only reads, and can be revoked. */
#[ORM\Entity]
#[ORM\Table(name: 'offer_link')]
#[ORM\UniqueConstraint(name: 'by_link_key', columns: ['link_key'])]
#[ORM\Index(name: 'by_creator', columns: ['creator_id'])]
class OfferLink
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** The key in its URL. */
    #[ORM\Column(name: 'link_key', length: 32, options: ['fixed' => true])]
    private string $key;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $revokedAt = null;

    /** @param string $name who it is for */
    public function __construct(
        #[ORM\Column(length: 80)]
        private string $name,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $creator,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->key = bin2hex(random_bytes(16));
    }

    public function name(): string
    {
        return $this->name;
    }

    public function isRevoked(): bool
    {
        return null !== $this->revokedAt;
    }

    public function revoke(\DateTimeImmutable $now): void
    {
        $this->revokedAt ??= $now;
    }

    public function shown(): ShownOfferLink
    {
        return new ShownOfferLink(
            $this->id ?? throw new \LogicException('This link is not stored yet.'),
            $this->name,
            '/api/shared-offers/'.$this->key,
            $this->creator->name(),
            new Instant($this->createdAt),
        );
    }
}
