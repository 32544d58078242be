<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;
use Periplus\Core\Notation\Numbering;

use function Periplus\Core\Language\t;

/**
 * A numbering that the head coach made.
 *
 * @phpstan-import-type Content from Numbering
 */
#[ORM\Entity(repositoryClass: GymNumberings::class)]
#[ORM\Table(name: 'numbering')]
class OwnNumbering implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\Column(length: 40)]
    private string $id;

    /** @var Content */
    #[ORM\Column]
    private array $content;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private User $editor;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    public function __construct(Numbering $numbering, User $editor, \DateTimeImmutable $now)
    {
        $this->id = $numbering->id;
        $this->change($numbering, $editor, $now);
    }

    public function id(): string
    {
        return $this->id;
    }

    /** @return Content */
    public function content(): array
    {
        return $this->content;
    }

    public function numbering(): Numbering
    {
        return Numbering::of($this->id, $this->content);
    }

    public function change(Numbering $numbering, User $editor, \DateTimeImmutable $now): void
    {
        $this->content = $numbering->content();
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function changedMeanwhile(): string
    {
        return t('This numbering was changed meanwhile. Nothing was overwritten; look at the newest and make the '
            .'change again.');
    }
}
