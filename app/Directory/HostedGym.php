<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Store\GymPlace;

/** A gym of an installation with several, in the directory that says where each is kept. */
#[ORM\Entity(repositoryClass: HostedGyms::class)]
#[ORM\Table(name: 'hosted_gym')]
class HostedGym
{
    /** Names a database, folders and caches. */
    public const NAME = '/^[a-z][a-z0-9]{0,29}$/D';
    public const HOST = '/^[a-z0-9]([a-z0-9-]*[a-z0-9])?(\.[a-z0-9]([a-z0-9-]*[a-z0-9])?)*$/D';

    public const MAX_GROUP_LENGTH = 60;

    #[ORM\Column(length: 10, enumType: HostedState::class)]
    private HostedState $state = HostedState::Serves;

    /**
     * @param string|null $group of gyms that share what they offer
     * @param string|null $server of its database, as host:port; null for that of the installation
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 30)]
        private string $name,
        #[ORM\Column(length: 190, unique: true)]
        private string $host,
        #[ORM\Column(name: 'gym_group', length: self::MAX_GROUP_LENGTH, nullable: true)]
        private ?string $group,
        #[ORM\Column(length: 190, nullable: true)]
        private ?string $server,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function group(): ?string
    {
        return $this->group;
    }

    public function state(): HostedState
    {
        return $this->state;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }

    public function place(): GymPlace
    {
        return new GymPlace($this->name, $this->host, $this->server, $this->group);
    }

    /** Shares with the gyms of another group from now on; null for none. */
    public function join(?string $group): void
    {
        $this->group = $group;
    }

    public function become(HostedState $state): void
    {
        $this->state = $state;
    }

    /** Its database is on another server from now on. */
    public function moveTo(?string $server): void
    {
        $this->server = $server;
    }
}
