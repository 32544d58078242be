<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;

/** A gym of another installation whose offers are read under the link that it gave. */
#[ORM\Entity(repositoryClass: FollowedGyms::class)]
#[ORM\Table(name: 'followed_gym')]
#[ORM\UniqueConstraint(name: 'once', columns: ['address'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
class FollowedGym
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 120)]
    private string $name;

    /** As the other installation gave it. */
    #[ORM\Column(length: 120, nullable: true)]
    private ?string $etag = null;

    #[ORM\Column(type: 'text', length: 16_777_215)]
    private string $document;

    #[ORM\Column]
    private \DateTimeImmutable $readAt;

    /** Why it could not be read last; null when it could. */
    #[ORM\Column(length: 200, nullable: true)]
    private ?string $problem = null;

    public function __construct(
        #[ORM\Column(length: 190)]
        private string $address,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $user,
        ReadOffers $read,
        \DateTimeImmutable $now,
    ) {
        $this->found($read, $now);
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This gym is not stored yet.');
    }

    public function address(): string
    {
        return $this->address;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function etag(): ?string
    {
        return $this->etag;
    }

    /** Returns its offers as JSON, as they were read last. */
    public function document(): string
    {
        return $this->document;
    }

    public function readAt(): \DateTimeImmutable
    {
        return $this->readAt;
    }

    public function problem(): ?string
    {
        return $this->problem;
    }

    /** Its offers are these now. */
    public function found(ReadOffers $read, \DateTimeImmutable $now): void
    {
        $this->name = $read->document->gym;
        $this->document = $read->json;
        $this->etag = $read->etag;
        $this->unchanged($now);
    }

    /** Its offers are still the same. */
    public function unchanged(\DateTimeImmutable $now): void
    {
        $this->readAt = $now;
        $this->problem = null;
    }

    /** What was read before stays, with the time at which it was. */
    public function failed(string $problem): void
    {
        $this->problem = mb_substr($problem, 0, 200);
    }
}
