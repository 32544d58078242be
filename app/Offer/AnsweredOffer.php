<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationContentType;
use Periplus\App\Review\Proposal;
use Periplus\App\Review\ProposalState;

/** What this gym did with one version of an offer; it keeps where something came from. */
#[ORM\Entity(repositoryClass: AnsweredOffers::class)]
#[ORM\Table(name: 'answered_offer')]
#[ORM\UniqueConstraint(name: 'once', columns: ['source', 'kind', 'item', 'digest'])]
#[ORM\Index(name: 'by_proposal', columns: ['proposal_id'])]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
class AnsweredOffer
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 40)]
    private string $source;

    #[ORM\Column(length: 120)]
    private string $gym;

    #[ORM\Column(length: 12, enumType: OfferKind::class)]
    private OfferKind $kind;

    #[ORM\Column(length: 40)]
    private string $item;

    #[ORM\Column(length: 32, options: ['fixed' => true])]
    private string $digest;

    /** The content that was offered, where it is a combination; null for the other kinds. */
    #[ORM\Column(type: CombinationContentType::NAME, nullable: true)]
    private ?CombinationContent $content = null;

    /** The proposal that was made of a combination. */
    #[ORM\ManyToOne]
    private ?Proposal $proposal = null;

    /** Id of the course or numbering that it became here. */
    #[ORM\Column(length: 40, nullable: true)]
    private ?string $subject = null;

    private function __construct(
        Offer $offer,
        #[ORM\Column(length: 10, enumType: OfferAnswer::class)]
        private OfferAnswer $answer,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $user,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->source = $offer->source;
        $this->gym = $offer->gym;
        $this->kind = $offer->thing->kind();
        $this->item = $offer->thing->item();
        $this->digest = $offer->thing->digest();
    }

    public static function proposed(
        Offer $offer,
        CombinationContent $content,
        Proposal $proposal,
        User $user,
        \DateTimeImmutable $now,
    ): self {
        $answer = new self($offer, OfferAnswer::Proposed, $user, $now);
        $answer->content = $content;
        $answer->proposal = $proposal;

        return $answer;
    }

    /** @param string|null $subject id of the course or numbering that it became */
    public static function accepted(Offer $offer, ?string $subject, User $user, \DateTimeImmutable $now): self
    {
        $answer = new self($offer, OfferAnswer::Accepted, $user, $now);
        $answer->subject = $subject;

        return $answer;
    }

    public static function declined(Offer $offer, User $user, \DateTimeImmutable $now): self
    {
        return new self($offer, OfferAnswer::Declined, $user, $now);
    }

    /** Returns what became of it: a proposal is decided in the review. */
    public function answer(): OfferAnswer
    {
        return match ($this->proposal?->state()) {
            null => $this->answer,
            ProposalState::Approved => OfferAnswer::Accepted,
            ProposalState::Withdrawn => OfferAnswer::Declined,
            default => OfferAnswer::Proposed,
        };
    }

    /** Returns a word for what is offered, the same in all of its versions. */
    public function key(): string
    {
        return Offer::keyOf($this->source, $this->kind, $this->item);
    }

    public function digest(): string
    {
        return $this->digest;
    }

    public function gym(): string
    {
        return $this->gym;
    }

    public function content(): ?CombinationContent
    {
        return $this->content;
    }

    public function proposal(): ?Proposal
    {
        return $this->proposal;
    }

    public function subject(): ?string
    {
        return $this->subject;
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
