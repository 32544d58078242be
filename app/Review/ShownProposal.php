<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Account\Person;
use Periplus\App\Combination\ShownContent;
use Periplus\App\Store\Instant;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Serializer\RenderedLine;
use Periplus\Core\Flow\Timing\Verdict;

/** A proposal in a list. */
final readonly class ShownProposal
{
    public int $id;
    public int $version;
    public ProposalKind $kind;
    public ProposalState $state;
    public ?ProposedFor $combination;
    public ?ShownAnswer $answer;
    public ?int $basedOn;
    public ShownContent $content;
    public Verdict $verdict;
    public LineDrawing $line;
    public Person $author;
    public Instant $createdAt;
    public Instant $updatedAt;

    public function __construct(Proposal $proposal, ?ProposalStep $answer, RenderedLine $drawn)
    {
        $combination = $proposal->combination();
        $this->id = $proposal->id();
        $this->version = $proposal->version();
        $this->kind = $proposal->kind();
        $this->state = $proposal->state();
        $this->combination = null === $combination ? null : new ProposedFor($combination);
        $this->answer = null === $answer ? null : new ShownAnswer($answer, $proposal);
        $this->basedOn = $proposal->basedOn();
        $this->content = new ShownContent($proposal->content(), $drawn->text);
        $this->verdict = $drawn->verdict;
        $this->line = $drawn->line;
        $this->author = $proposal->author()->person();
        $this->createdAt = new Instant($proposal->createdAt());
        $this->updatedAt = new Instant($proposal->updatedAt());
    }
}
