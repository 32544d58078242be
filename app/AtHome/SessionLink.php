<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\DayType;
use Periplus\App\Store\Instant;

/**
 * A session that an athlete does alone, under a link that needs no account. It keeps the plan as it was when the link
 * was made, and of athletes only how often they came to its end.
 */
#[ORM\Entity(repositoryClass: SessionLinks::class)]
#[ORM\Table(name: 'session_link')]
#[ORM\UniqueConstraint(name: 'by_link_key', columns: ['link_key'])]
#[ORM\Index(name: 'by_creator', columns: ['creator_id'])]
class SessionLink implements \JsonSerializable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** The key in its URL. */
    #[ORM\Column(name: 'link_key', length: 32, options: ['fixed' => true])]
    private string $key;

    #[ORM\Column(options: ['default' => 0])]
    private int $finished = 0;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $revokedAt = null;

    /**
     * @param array<mixed> $content a written plan
     * @param string $endsOn last day on which it opens, such as 2026-12-29
     */
    public function __construct(
        #[ORM\Column(length: 120)]
        private string $name,
        #[ORM\Column]
        private array $content,
        #[ORM\Column]
        private int $lengthMs,
        #[ORM\Column(type: DayType::NAME)]
        private string $endsOn,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $creator,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->key = bin2hex(random_bytes(16));
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This link is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return array<mixed> a written plan */
    public function content(): array
    {
        return $this->content;
    }

    public function endsOn(): string
    {
        return $this->endsOn;
    }

    /** @param string $today such as 2026-12-01 */
    public function isOpen(string $today): bool
    {
        return null === $this->revokedAt && $today <= $this->endsOn;
    }

    public function isRevoked(): bool
    {
        return null !== $this->revokedAt;
    }

    public function revoke(\DateTimeImmutable $now): void
    {
        $this->revokedAt ??= $now;
    }

    public function jsonSerialize(): ShownLink
    {
        return new ShownLink(
            id: $this->id(),
            key: $this->key,
            name: $this->name,
            lengthMs: $this->lengthMs,
            endsOn: $this->endsOn,
            finished: $this->finished,
            creator: $this->creator->name(),
            createdAt: new Instant($this->createdAt),
            revokedAt: Instant::ofNullable($this->revokedAt),
        );
    }
}
