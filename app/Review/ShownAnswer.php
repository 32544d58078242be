<?php

declare(strict_types=1);

namespace Periplus\App\Review;

/** The last word on a proposal. */
final readonly class ShownAnswer
{
    public string $who;
    public ?string $remark;
    public bool $byAuthor;

    public function __construct(ProposalStep $step, Proposal $proposal)
    {
        $this->who = $step->user()->name();
        $this->remark = $step->remark();
        $this->byAuthor = $step->user() === $proposal->author();
    }
}
