<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationContentType;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\NotAllowed;
use Periplus\App\Store\Versioned;

use function Periplus\Core\Language\t;

/** A proposal of a coach. The published version stays in use until it is approved. */
#[ORM\Entity(repositoryClass: Proposals::class)]
#[ORM\Table(name: 'proposal')]
#[ORM\Index(name: 'by_state', columns: ['state', 'updated_at'])]
#[ORM\Index(name: 'of_combination', columns: ['combination_id', 'state'])]
#[ORM\Index(name: 'by_author', columns: ['author_id'])]
class Proposal implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 10, enumType: ProposalState::class)]
    private ProposalState $state = ProposalState::Open;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    /**
     * @param Combination|null $combination null for a new one that was not approved yet
     * @param int|null $basedOn the version of the combination that it was made from; null for a new one
     */
    public function __construct(
        #[ORM\Column(length: 10, enumType: ProposalKind::class)]
        private ProposalKind $kind,
        #[ORM\ManyToOne]
        private ?Combination $combination,
        #[ORM\Column(nullable: true)]
        private ?int $basedOn,
        #[ORM\Column(type: CombinationContentType::NAME)]
        private CombinationContent $content,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $author,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->updatedAt = $createdAt;
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This proposal is not stored yet.');
    }

    public function kind(): ProposalKind
    {
        return $this->kind;
    }

    public function state(): ProposalState
    {
        return $this->state;
    }

    public function combination(): ?Combination
    {
        return $this->combination;
    }

    public function basedOn(): ?int
    {
        return $this->basedOn;
    }

    public function content(): CombinationContent
    {
        return $this->content;
    }

    public function author(): User
    {
        return $this->author;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }

    public function updatedAt(): \DateTimeImmutable
    {
        return $this->updatedAt;
    }

    /** @throws Conflict when it is decided already */
    public function requireUndecided(): void
    {
        if ($this->state->isDecided()) {
            throw new Conflict(
                'decided-already',
                ProposalState::Approved === $this->state
                    ? t('This proposal was approved already.')
                    : t('This proposal was withdrawn.'),
            );
        }
    }

    /** @throws NotAllowed when it is somebody else's */
    public function requireAuthor(User $user): void
    {
        if ($this->author->id() !== $user->id()) {
            throw new NotAllowed(
                t('This is a proposal of {author}; only they can change it.', author: $this->author->name()),
            );
        }
    }

    /** The author revises it. */
    public function revise(CombinationContent $content, ?int $basedOn): void
    {
        $this->content = $content;
        $this->basedOn = $basedOn;
    }

    /** Links it to the resulting combination, with the head coach's edit if there was one. */
    public function putIntoLibrary(Combination $combination, ?CombinationContent $edit): void
    {
        $this->combination = $combination;
        $this->content = $edit ?? $this->content;
    }

    public function move(ProposalStepKind $step, \DateTimeImmutable $now): void
    {
        $this->state = $step->state();
        $this->updatedAt = $now;
    }

    public function changedMeanwhile(): string
    {
        return t('This proposal was changed meanwhile. Nothing was decided; look at the newest.');
    }
}
