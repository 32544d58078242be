<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\Contact;

/** What a strike or step meets on an orthodox opponent, thrown in the stance the combination was written for. */
final readonly class ContactClause implements Clause
{
    public function __construct(public Contact $contact, public bool $wanted, private string $text)
    {
    }

    public function says(): string
    {
        return ($this->wanted ? 'goes ' : 'nothing goes ').$this->contact->words();
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->contact($this);
    }
}
