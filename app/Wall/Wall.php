<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\Instant;

/** A screen of the gym that shows a session; identified by the key in its URL. */
#[ORM\Entity(repositoryClass: Walls::class)]
#[ORM\Table(name: 'wall')]
#[ORM\UniqueConstraint(name: 'by_wall_key', columns: ['wall_key'])]
#[ORM\Index(name: 'by_run', columns: ['run_id'])]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class Wall implements \JsonSerializable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(name: 'wall_key', length: 32, options: ['fixed' => true])]
    private string $key;

    #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'SET NULL')]
    private ?ShownSession $run = null;

    /** @var Collection<int, ShownSession> all of which it may still report what it has shown */
    #[ORM\ManyToMany(targetEntity: ShownSession::class, fetch: 'EXTRA_LAZY')]
    #[ORM\JoinTable(name: 'wall_run')]
    #[ORM\JoinColumn(onDelete: 'CASCADE')]
    #[ORM\InverseJoinColumn(name: 'run_id', onDelete: 'CASCADE')]
    private Collection $shown;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $seenAt = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $revokedAt = null;

    public function __construct(
        #[ORM\Column(length: 60)]
        private string $name,
        #[ORM\Column(options: ['default' => true])]
        private bool $hasKeys,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $editor,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->key = bin2hex(random_bytes(16));
        $this->shown = new ArrayCollection();
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This wall is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function key(): string
    {
        return $this->key;
    }

    /** Tells whether its keyboard or button may pause, resume and jump. If its coach is blocked, it may not. */
    public function hasKeys(): bool
    {
        return $this->hasKeys && $this->editor->isActive();
    }

    /** Returns the id of the session that it shows, or null. */
    public function run(): ?int
    {
        return $this->run?->id();
    }

    public function seenAt(): ?\DateTimeImmutable
    {
        return $this->seenAt;
    }

    public function change(string $name, bool $hasKeys): void
    {
        $this->name = $name;
        $this->hasKeys = $hasKeys;
    }

    public function show(ShownSession $run): void
    {
        $this->run = $run;
        if (!$this->shown->contains($run)) {
            $this->shown->add($run);
        }
    }

    /** Tells whether it shows or has shown that session. */
    public function hasShown(ShownSession $run): bool
    {
        return $this->shown->contains($run);
    }

    /** Records that it has just been seen, at most once in a while. @return bool whether it was recorded */
    public function seen(\DateTimeImmutable $now): bool
    {
        if (null !== $this->seenAt && $this->seenAt >= $now->modify('-20 seconds')) {
            return false;
        }
        $this->seenAt = $now;

        return true;
    }

    /** Revokes it: its URL stops working. It is kept for the record of what it showed. */
    public function revoke(\DateTimeImmutable $now): void
    {
        $this->revokedAt = $now;
        $this->run = null;
    }

    public function jsonSerialize(): ShownWall
    {
        return new ShownWall(
            $this->id(),
            $this->name,
            $this->key,
            $this->hasKeys(),
            $this->run(),
            Instant::ofNullable($this->seenAt),
        );
    }
}
