<?php

declare(strict_types=1);

namespace Periplus\App\Words;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;
use Periplus\Core\Notation\Glue;

use function Periplus\Core\Language\t;

/** What the gym has changed of the words that are passed over in a line: a single row, created by a migration. */
#[ORM\Entity(repositoryClass: GymWords::class)]
#[ORM\Table(name: 'passed_over_words')]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class PassedOverWords implements Versioned
{
    use HasVersion;

    public const ID = 1;

    #[ORM\Id, ORM\Column]
    private int $id = self::ID;

    /** @var list<string> */
    #[ORM\Column]
    private array $own = [];

    /** @var list<string> */
    #[ORM\Column]
    private array $kept = [];

    #[ORM\ManyToOne]
    private ?User $editor = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $updatedAt = null;

    public function glue(): Glue
    {
        return new Glue($this->own, $this->kept);
    }

    public function change(Glue $glue, User $editor, \DateTimeImmutable $now): void
    {
        [$this->own, $this->kept] = [$glue->own, $glue->kept];
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function changedMeanwhile(): string
    {
        return t('These words were changed meanwhile. Nothing was overwritten; look at the newest and make the change '
            .'again.');
    }
}
