<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Wall\Wall;
use Periplus\Core\Session\Run\CommandKind;

/** A command that was applied to a session, given by a coach or at a wall. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'run_command')]
#[ORM\UniqueConstraint(name: 'by_key', columns: ['run_id', 'command_key'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
#[ORM\Index(name: 'by_wall', columns: ['wall_id'])]
class GivenCommand
{
    /**
     * @param int $revision of the session that it led to
     * @param string $key chosen by the sender
     * @param int $givenMs on the server's clock
     * @param int|null $leftMs where the programme stood before it, and after it as $cameMs; null when it was not
     *                         computed
     */
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Run $run,
        #[ORM\Id, ORM\Column]
        private int $revision,
        #[ORM\Column(name: 'command_key', length: 64)]
        private string $key,
        #[ORM\Column(length: 12, enumType: CommandKind::class)]
        private CommandKind $kind,
        #[ORM\Column(length: 400)]
        private string $target,
        #[ORM\Column(type: StoredAmendmentType::NAME, nullable: true)]
        private ?StoredAmendment $amendment,
        #[ORM\Column(type: 'bigint')]
        private int $givenMs,
        #[ORM\Column(type: 'bigint', nullable: true)]
        private ?int $leftMs,
        #[ORM\Column(type: 'bigint', nullable: true)]
        private ?int $cameMs,
        #[ORM\ManyToOne]
        private ?User $user,
        #[ORM\ManyToOne]
        private ?Wall $wall,
    ) {
    }

    public function kind(): CommandKind
    {
        return $this->kind;
    }

    public function amendment(): ?StoredAmendment
    {
        return $this->amendment;
    }

    public function givenMs(): int
    {
        return $this->givenMs;
    }

    public function leftMs(): ?int
    {
        return $this->leftMs;
    }

    public function cameMs(): int
    {
        return $this->cameMs ?? 0;
    }

    /** Returns the name of the coach or wall. */
    public function by(): string
    {
        return $this->user?->name() ?? $this->wall?->name() ?? '';
    }
}
