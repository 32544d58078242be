<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Store\Instant;

/** What this gym did with an offer. */
final readonly class ShownOfferAnswer
{
    public OfferAnswer $answer;
    public string $who;
    public Instant $at;
    /** Id of the proposal that was made of it. */
    public ?int $proposal;

    public function __construct(AnsweredOffer $answer)
    {
        $this->answer = $answer->answer();
        $this->who = $answer->user()->name();
        $this->at = new Instant($answer->createdAt());
        $this->proposal = $answer->proposal()?->id();
    }
}
