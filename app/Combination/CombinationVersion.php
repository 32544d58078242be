<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;

/** An earlier state of a combination; written at every save and never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'combination_version')]
#[ORM\UniqueConstraint(name: 'one_of_each', columns: ['combination_id', 'version'])]
class CombinationVersion
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private readonly Combination $combination,
        #[ORM\Column]
        private readonly int $version,
        #[ORM\Column(type: CombinationContentType::NAME)]
        private readonly CombinationContent $content,
        #[ORM\Column(name: 'change_kind', length: 12, enumType: VersionChange::class)]
        private readonly VersionChange $change,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private readonly User $editor,
        #[ORM\Column]
        private readonly \DateTimeImmutable $createdAt,
    ) {
    }

    public function number(): int
    {
        return $this->version;
    }

    public function content(): CombinationContent
    {
        return $this->content;
    }

    public function change(): VersionChange
    {
        return $this->change;
    }

    public function editor(): User
    {
        return $this->editor;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }
}
