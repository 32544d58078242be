<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\Instant;

/** A card with combinations to take home. Of the athlete it stores only the stance. */
#[ORM\Entity(repositoryClass: Cards::class)]
#[ORM\Table(name: 'athlete_card')]
#[ORM\UniqueConstraint(name: 'by_card_key', columns: ['card_key'])]
#[ORM\Index(name: 'by_creator', columns: ['creator_id'])]
class Card implements \JsonSerializable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** The key in its URL. */
    #[ORM\Column(name: 'card_key', length: 32, options: ['fixed' => true])]
    private string $key;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $revokedAt = null;

    public function __construct(
        #[ORM\Column(length: 120)]
        private string $name,
        #[ORM\Column(type: CardContentType::NAME)]
        private CardContent $content,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $creator,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->key = bin2hex(random_bytes(16));
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This card is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function content(): CardContent
    {
        return $this->content;
    }

    public function isRevoked(): bool
    {
        return null !== $this->revokedAt;
    }

    public function revoke(\DateTimeImmutable $now): void
    {
        $this->revokedAt ??= $now;
    }

    public function jsonSerialize(): ShownCard
    {
        return new ShownCard(
            id: $this->id(),
            key: $this->key,
            name: $this->name,
            stance: $this->content->stance,
            numbering: $this->content->numbering,
            group: $this->content->group,
            combinations: array_column($this->content->combinations, 'name'),
            creator: $this->creator->name(),
            createdAt: new Instant($this->createdAt),
            revokedAt: Instant::ofNullable($this->revokedAt),
        );
    }
}
