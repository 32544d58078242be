<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;

/** A call that a coach recorded; it replaces the synthesised one. */
#[ORM\Entity(repositoryClass: Clips::class)]
#[ORM\Table(name: 'recorded_clip', options: ['charset' => 'utf8mb4', 'collation' => 'utf8mb4_bin'])]
#[ORM\UniqueConstraint(name: 'by_digest', columns: ['digest'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
class RecordedClip
{
    /** Identifies it in the URLs of walls. */
    #[ORM\Column(length: 32, options: ['fixed' => true])]
    private string $digest;

    /** @var resource|string a WAV file; a stream where it comes from the database */
    #[ORM\Column(type: 'blob', length: 16_777_215)]
    private mixed $sound;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private User $user;

    #[ORM\Column]
    private \DateTimeImmutable $recordedAt;

    public function __construct(
        #[ORM\Id, ORM\Column(length: 200)]
        private string $said,
        string $sound,
        User $user,
        \DateTimeImmutable $now,
    ) {
        $this->record($sound, $user, $now);
    }

    public function record(string $sound, User $user, \DateTimeImmutable $now): void
    {
        $this->sound = $sound;
        $this->digest = hash('xxh128', $this->said."\n".$sound);
        $this->user = $user;
        $this->recordedAt = $now;
    }

    public function sound(): string
    {
        return \is_string($this->sound) ? $this->sound : (string) stream_get_contents($this->sound, offset: 0);
    }
}
