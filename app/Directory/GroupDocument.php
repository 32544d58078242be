<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Doctrine\ORM\Mapping as ORM;

/** What a gym offers to the others of its group, as a document that they read. */
#[ORM\Entity(repositoryClass: GroupDocuments::class)]
#[ORM\Table(name: 'group_document')]
class GroupDocument
{
    public function __construct(
        #[ORM\Id, ORM\Column(length: 30)]
        private string $gym,
        #[ORM\Column(length: 32)]
        private string $digest,
        #[ORM\Column(type: 'text', length: 16_777_215)]
        private string $document,
        #[ORM\Column]
        private \DateTimeImmutable $publishedAt,
    ) {
    }

    public function gym(): string
    {
        return $this->gym;
    }

    public function digest(): string
    {
        return $this->digest;
    }

    /** Returns it as JSON. */
    public function document(): string
    {
        return $this->document;
    }

    public function publishedAt(): \DateTimeImmutable
    {
        return $this->publishedAt;
    }

    public function replace(string $digest, string $document, \DateTimeImmutable $now): void
    {
        $this->digest = $digest;
        $this->document = $document;
        $this->publishedAt = $now;
    }
}
