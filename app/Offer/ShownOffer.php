<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\HouseRules\ShownHouseRules;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Timing\Verdict;

/** An offer in the review. */
final readonly class ShownOffer
{
    public string $source;
    public string $gym;
    public OfferKind $kind;
    public string $item;
    public string $name;
    public string $digest;
    /** Tells whether an earlier version was taken over. */
    public bool $isLaterVersion;
    /** What it is, in a few words. */
    public string $about;
    /** @var list<string> sentences on what it changes here */
    public array $changes;
    public bool $canBeAccepted;
    public ?LocalThing $here;
    /** The chain in the coach's numbering; null for anything but a combination. */
    public ?string $text;
    public ?Verdict $verdict;
    public ?LineDrawing $line;
    /** The house rules of the other gym; null for anything else. */
    public ?ShownHouseRules $rules;
    public ?ShownOfferAnswer $answer;

    public function __construct(Offer $offer, OfferEffect $effect, ?AnsweredOffer $answer, bool $isLaterVersion)
    {
        $this->source = $offer->source;
        $this->gym = $offer->gym;
        $this->kind = $offer->thing->kind();
        $this->item = $offer->thing->item();
        $this->name = $offer->thing->name();
        $this->digest = $offer->thing->digest();
        $this->isLaterVersion = $isLaterVersion;
        $this->about = $effect->about;
        $this->changes = $effect->changes;
        $this->canBeAccepted = $effect->canBeAccepted;
        $this->here = $effect->here;
        $this->text = $effect->line?->text;
        $this->verdict = $effect->line?->verdict;
        $this->line = $effect->line?->line;
        $this->rules = null === $effect->rules ? null : new ShownHouseRules($effect->rules);
        $this->answer = null === $answer ? null : new ShownOfferAnswer($answer);
    }
}
