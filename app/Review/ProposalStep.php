<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationContentType;

/** A step of a proposal; written once and never changed. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'proposal_step')]
#[ORM\Index(name: 'of_proposal', columns: ['proposal_id', 'id'])]
class ProposalStep
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** @param CombinationContent|null $content what it put into the proposal; null where it left that as it was */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        private Proposal $proposal,
        #[ORM\Column(name: 'step', length: 12, enumType: ProposalStepKind::class)]
        private ProposalStepKind $kind,
        #[ORM\Column(type: CombinationContentType::NAME, nullable: true)]
        private ?CombinationContent $content,
        #[ORM\Column(type: 'text', length: 65_535)]
        private string $remark,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $user,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
    }

    public function proposal(): Proposal
    {
        return $this->proposal;
    }

    public function kind(): ProposalStepKind
    {
        return $this->kind;
    }

    public function content(): ?CombinationContent
    {
        return $this->content;
    }

    public function remark(): string
    {
        return $this->remark;
    }

    public function user(): User
    {
        return $this->user;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }
}
