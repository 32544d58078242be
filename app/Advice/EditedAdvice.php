<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;

use function Periplus\Core\Language\t;

/** The gym's own list of reminders, exercises or faults. A migration created a row for each. */
#[ORM\Entity(repositoryClass: GymAdvice::class)]
#[ORM\Table(name: 'advice')]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class EditedAdvice implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\Column(length: 12)]
    private string $id;

    /** @var list<array<string, mixed>>|null null while they are those that ship */
    #[ORM\Column(nullable: true)]
    private ?array $content = null;

    #[ORM\ManyToOne]
    private ?User $editor = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $updatedAt = null;

    /** @return list<array<string, mixed>>|null null while they are those that ship */
    public function content(): ?array
    {
        return $this->content;
    }

    /** @param list<array<string, mixed>>|null $rows null for those that ship */
    public function change(?array $rows, User $editor, \DateTimeImmutable $now): void
    {
        $this->content = $rows;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function changedMeanwhile(): string
    {
        return t('This list was changed meanwhile. Nothing was overwritten; look at the newest and make the change '
            .'again.');
    }
}
